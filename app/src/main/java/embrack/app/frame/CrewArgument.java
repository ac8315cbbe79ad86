package embrack.app.frame;

import embrack.app.door.Entry;
import embrack.app.store.crew.CrewId;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Gives each route that asks for it the {@link Entry} of its request, or the crew that whoever asks works for. */
@Component
class CrewArgument implements HandlerMethodArgumentResolver, WebMvcConfigurer {

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Entry.class
                || parameter.getParameterType() == CrewId.class
                        && !parameter.hasParameterAnnotation(PathVariable.class);
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        Entry entry = Entry.of((HttpServletRequest) request.getNativeRequest());
        return parameter.getParameterType() == Entry.class ? entry : entry.crew();
    }
}
