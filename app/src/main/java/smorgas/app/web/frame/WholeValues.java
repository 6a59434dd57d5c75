package smorgas.app.web.frame;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.core.CollectionFactory;
import org.springframework.core.convert.ConversionService;
import org.springframework.core.convert.TypeDescriptor;
import org.springframework.core.convert.converter.GenericConverter;
import org.springframework.format.FormatterRegistry;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A field of a form that is sent once is one value of its list, commas and all: keywords have commas. Without this the framework
 * splits it at them. An empty field is an empty list.
 */
@Component
class WholeValues implements WebMvcConfigurer {

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.removeConvertible(String.class, Collection.class);
        registry.removeConvertible(String.class, Object[].class);
        registry.addConverter(new OneValue((ConversionService) registry));
    }

    /** One text as a list of one. */
    private record OneValue(ConversionService elements) implements GenericConverter {

        @Override
        public Set<ConvertiblePair> getConvertibleTypes() {
            return Set.of(new ConvertiblePair(String.class, Collection.class));
        }

        @Override
        public @Nullable Object convert(@Nullable Object source, TypeDescriptor from, TypeDescriptor to) {
            List<?> values = source == null || source.equals("") ? List.of() : List.of(source);
            TypeDescriptor element = to.getElementTypeDescriptor();
            Collection<@Nullable Object> made = CollectionFactory.createCollection(
                    to.getType(), element == null ? null : element.getType(), values.size());
            for (Object value : values) {
                made.add(element == null ? value : elements.convert(value, from, element));
            }
            return made;
        }
    }
}
