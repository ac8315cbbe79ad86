package embrack.app.frame;

import embrack.core.word.Language;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.model.IText;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.processor.text.AbstractTextProcessor;
import org.thymeleaf.processor.text.ITextStructureHandler;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * Puts the words that stand in templates into the language of whoever reads. Templates are in English and can be read
 * as they are; another language has their words in {@code embrack/app/pages/words_TAG.properties}, each by its
 * {@link #key}, and English shows where one is missing.
 */
@Component
class PageWords extends AbstractProcessorDialect {

    private static final String ROOM = "app/pages";
    private static final int PRECEDENCE = 100;
    private static final int WORDS_OF_A_KEY = 24;

    PageWords() {
        super("Words of pages", null, PRECEDENCE);
    }

    /** What a text of a template is known by: its first 24 words as an id. */
    static String key(String text) {
        return Stream.of(text.toLowerCase(Locale.ROOT).split("[^a-z0-9]+"))
                .filter(word -> !word.isEmpty())
                .limit(WORDS_OF_A_KEY)
                .collect(Collectors.joining("-"));
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Stream.concat(
                        Stream.of(new Texts()),
                        Stream.of("aria-label", "title", "placeholder", "alt").map(Attributes::new))
                .collect(Collectors.toSet());
    }

    private static Optional<String> translated(String text) {
        Language language = Spoken.language();
        return language.equals(Language.ENGLISH) || text.isBlank() ? Optional.empty() : language.text(ROOM, key(text));
    }

    private static final class Texts extends AbstractTextProcessor {

        Texts() {
            super(TemplateMode.HTML, PRECEDENCE);
        }

        @Override
        protected void doProcess(ITemplateContext context, IText text, ITextStructureHandler handler) {
            String english = text.getText();
            translated(english).ifPresent(words -> handler.setText(english.replace(english.strip(), words)));
        }
    }

    private static final class Attributes extends AbstractAttributeTagProcessor {

        Attributes(String name) {
            super(TemplateMode.HTML, null, null, false, name, false, PRECEDENCE, false);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName name,
                String english,
                IElementTagStructureHandler handler) {
            translated(english).ifPresent(words -> handler.setAttribute(name.getAttributeName(), words));
        }
    }
}
