package embrack.app.frame;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A page that is made of nothing but the newest plan of its rig and of its address, so that it is drawn once for each
 * revision ({@link DrawnPages}); on gear and sheets, of the models of the crew and the ticks as well. Not for pages
 * that show anything else that changes by itself.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface OfPlanAlone {}
