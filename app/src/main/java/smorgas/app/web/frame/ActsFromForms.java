package smorgas.app.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.ServletRequestUtils;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Fills in the {@link Act} of a controller's method: from {@code {id}} in its address and {@code version} in its form. */
@Component
class ActsFromForms implements HandlerMethodArgumentResolver, WebMvcConfigurer {

    private final Frames frames;

    ActsFromForms(Frames frames) {
        this.frames = frames;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Act.class;
    }

    @Override
    public Act resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest web,
            @Nullable WebDataBinderFactory binders)
            throws ServletRequestBindingException {
        HttpServletRequest request = (HttpServletRequest) web.getNativeRequest();
        long version = ServletRequestUtils.getRequiredLongParameter(request, "version");
        return new Act(request, frames.open(id(request)), version);
    }

    private static long id(HttpServletRequest request) throws ServletRequestBindingException {
        Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        String id = variables instanceof Map<?, ?> found ? String.valueOf(found.get("id")) : "";
        if (!id.matches("\\d{1,18}")) {
            throw new ServletRequestBindingException("A project has a number, not \"" + id + "\"");
        }
        return Long.parseLong(id);
    }
}
