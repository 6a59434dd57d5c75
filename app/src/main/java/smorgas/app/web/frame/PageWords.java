package smorgas.app.web.frame;

import java.text.MessageFormat;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.thymeleaf.autoconfigure.ThymeleafProperties;
import org.springframework.context.MessageSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.support.AbstractMessageSource;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.dialect.SpringStandardDialect;
import org.thymeleaf.spring6.expression.SPELVariableExpressionEvaluator;
import org.thymeleaf.standard.expression.IStandardVariableExpressionEvaluator;
import org.thymeleaf.templateresolver.ITemplateResolver;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** Gives pages their words: templates name texts of the catalogue, and a message that they show is written in its words. */
@Configuration
class PageWords {

    @Bean
    MessageSource messageSource(Wording wording) {
        return new OfCatalogue(wording);
    }

    @Bean
    SpringTemplateEngine templateEngine(
            ThymeleafProperties properties, ObjectProvider<ITemplateResolver> resolvers, Wording wording) {
        SpringTemplateEngine engine = engine(wording);
        engine.setEnableSpringELCompiler(properties.isEnableSpringElCompiler());
        resolvers.orderedStream().forEach(engine::addTemplateResolver);
        return engine;
    }

    /** One that has words but no templates yet. */
    static SpringTemplateEngine engine(Wording wording) {
        SpringTemplateEngine engine = new SpringTemplateEngine();
        engine.setDialect(new Saying(wording));
        engine.setTemplateEngineMessageSource(new OfCatalogue(wording));
        return engine;
    }

    /** What templates ask by {@code #{...}}. */
    private static final class OfCatalogue extends AbstractMessageSource {
        private final Wording wording;

        OfCatalogue(Wording wording) {
            this.wording = wording;
        }

        @Override
        protected @Nullable String getMessageInternal(
                @Nullable String code, Object @Nullable [] arguments, @Nullable Locale locale) {
            String key = String.valueOf(code);
            // Others than our templates ask for texts of their own here, and have words for them.
            return wording.has(key) ? wording.of(key, arguments == null ? new Object[0] : arguments) : null;
        }

        @Override
        protected @Nullable MessageFormat resolveCode(String code, Locale locale) {
            return null;
        }
    }

    /** Thymeleaf's dialect for Spring, whose expressions say messages. */
    private static final class Saying extends SpringStandardDialect {
        private final Wording wording;

        Saying(Wording wording) {
            this.wording = wording;
        }

        @Override
        public IStandardVariableExpressionEvaluator getVariableExpressionEvaluator() {
            return (context, expression, execution) -> {
                Object value = SPELVariableExpressionEvaluator.INSTANCE.evaluate(context, expression, execution);
                return value instanceof Message message ? wording.of(message) : value;
            };
        }
    }
}
