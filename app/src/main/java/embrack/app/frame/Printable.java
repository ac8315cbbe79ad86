package embrack.app.frame;

import embrack.app.store.Because;
import embrack.core.edit.Refused;
import embrack.core.text.Prose;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Refuses control characters in whatever is typed, at its field, before anything is made of it. */
@Component
class Printable implements HandlerInterceptor, WebMvcConfigurer {

    private final DrawnPages pages;

    Printable(DrawnPages pages) {
        this.pages = pages;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
        registry.addInterceptor(pages);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getDispatcherType() != DispatcherType.REQUEST) {
            return true; // a page about a request that failed, perhaps since it could not be read
        }
        for (Map.Entry<String, String[]> field : request.getParameterMap().entrySet()) {
            for (String typed : field.getValue()) {
                Prose.controlCharacter(typed).ifPresent(c -> {
                    throw new Refused(
                            field.getKey(), Because.of("no.control-character").with("c", c));
                });
            }
        }
        return true;
    }
}
