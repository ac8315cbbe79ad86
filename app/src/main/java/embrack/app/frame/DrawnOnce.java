package embrack.app.frame;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A page that is made of nothing but its address and the newest plan of its rig, so that it is drawn once for each
 * revision ({@link DrawnPages}); on gear and sheets, of the models of the crew and the ticks as well; on models, of the
 * models and of what rigs there are. Not for pages that show anything else that changes by itself.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface DrawnOnce {}
