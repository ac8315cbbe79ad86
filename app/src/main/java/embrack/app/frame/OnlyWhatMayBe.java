package embrack.app.frame;

import embrack.app.door.Entry;
import embrack.app.door.Visitor;
import embrack.app.store.RigId;
import embrack.core.crew.Right;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.AbstractElementTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * Leaves out of every page what whoever reads it may not send: the doors say it of the address of each form, so that no
 * template has to. A form that is marked {@value #SHOWS} stays, since it shows what holds; its buttons are left out and
 * its fields can be read and not changed. What no form sends is marked with {@code data-right}.
 */
@Component
class OnlyWhatMayBe extends AbstractProcessorDialect {

    /** Marks a form whose fields are read as much as written. */
    private static final String SHOWS = "data-shows";

    /** Set where fields can only be read. */
    private static final String TO_BE_READ = "embrackToBeRead";

    /** After everything that works out where a form is sent. */
    private static final int LAST = 100_000;

    OnlyWhatMayBe() {
        super("What may be sent", null, LAST);
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(
                new Rights(),
                new Links(),
                new Forms(),
                new Buttons(),
                new Fields("input"),
                new Fields("select"),
                new Fields("textarea"));
    }

    private abstract static class Elements extends AbstractElementTagProcessor {

        Elements(String name) {
            super(TemplateMode.HTML, null, name, false, null, false, LAST);
        }
    }

    /** Whether a page may show something that is sent to an address; pages that nobody in particular reads show all. */
    private static boolean maySend(ITemplateContext context, String address) {
        return !(context.getVariable(Entry.NAME) instanceof Entry entry)
                || address.isEmpty()
                || !address.startsWith("/")
                || entry.maySend(address);
    }

    /** What scripts send: it is marked with the right that it asks for to the rig of the page. */
    private static final class Rights extends AbstractAttributeTagProcessor {

        Rights() {
            super(TemplateMode.HTML, null, null, false, "data-right", false, LAST, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName name,
                String right,
                IElementTagStructureHandler handler) {
            if (context.getVariable(Entry.NAME) instanceof Entry entry
                    && context.getVariable("frame") instanceof Frame frame
                    && !entry.may(Right.valueOf(right), new RigId(frame.rig()))) {
                handler.removeElement();
            }
        }
    }

    /**
     * Where links lead that whoever reads may not follow, their words stay; of a button nothing does. Whoever belongs
     * to the crew may follow all of them.
     */
    private static final class Links extends Elements {

        Links() {
            super("a");
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag tag, IElementTagStructureHandler handler) {
            String to = tag.getAttributeValue("href");
            if (to == null
                    || !to.startsWith("/")
                    || !(context.getVariable(Entry.NAME) instanceof Entry entry)
                    || !entry.rights().isEmpty()
                    || entry.visitor() instanceof Visitor.Nobody && entry.link().isEmpty()
                    || entry.mayGo(to)) {
                return;
            }
            if (String.valueOf(tag.getAttributeValue("class")).contains("button")) {
                handler.removeElement();
            } else {
                handler.removeTags();
            }
        }
    }

    private static final class Forms extends Elements {

        Forms() {
            super("form");
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag tag, IElementTagStructureHandler handler) {
            String method = String.valueOf(tag.getAttributeValue("method"));
            String to = tag.hasAttribute("action") ? tag.getAttributeValue("action") : tag.getAttributeValue("hx-post");
            if (!method.equalsIgnoreCase("post") && !tag.hasAttribute("hx-post")
                    || to == null
                    || maySend(context, to)) {
                return;
            }
            if (tag.hasAttribute(SHOWS)) {
                handler.setLocalVariable(TO_BE_READ, Boolean.TRUE);
                for (String sends : Set.of("action", "method", "hx-post", "hx-trigger")) {
                    handler.removeAttribute(sends);
                }
            } else {
                handler.removeElement();
            }
        }
    }

    private static final class Buttons extends Elements {

        Buttons() {
            super("button");
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag tag, IElementTagStructureHandler handler) {
            boolean sends = !"button".equals(tag.getAttributeValue("type")) || tag.hasAttribute("hx-post");
            String to = tag.getAttributeValue("formaction");
            if (context.getVariable(TO_BE_READ) != null && sends || to != null && !maySend(context, to)) {
                handler.removeElement();
            }
        }
    }

    private static final class Fields extends Elements {

        Fields(String name) {
            super(name);
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag tag, IElementTagStructureHandler handler) {
            if (context.getVariable(TO_BE_READ) == null) {
                return;
            }
            String type = String.valueOf(tag.getAttributeValue("type"));
            if (Set.of("hidden", "submit", "file").contains(type)) {
                handler.removeElement();
            } else {
                handler.setAttribute("disabled", "");
            }
        }
    }
}
