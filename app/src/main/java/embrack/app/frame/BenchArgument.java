package embrack.app.frame;

import embrack.app.store.Bench;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Gives each route that has to do with real gear the {@link Bench} of its request: the browser, from the cookie
 * {@value #BROWSER}; the page, from the field "station"; its ports out, from the lines of the field "ports".
 */
@Component
class BenchArgument implements HandlerMethodArgumentResolver, WebMvcConfigurer {

    static final String BROWSER = "browser";

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Bench.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        HttpServletRequest asked = (HttpServletRequest) request.getNativeRequest();
        return new Bench(
                Optional.ofNullable(asked.getCookies()).stream()
                        .flatMap(Arrays::stream)
                        .filter(cookie -> cookie.getName().equals(BROWSER))
                        .map(Cookie::getValue)
                        .findFirst()
                        .orElse(""),
                Optional.ofNullable(asked.getParameter("station")).orElse(""),
                Optional.ofNullable(asked.getParameter("ports")).stream()
                        .flatMap(String::lines)
                        .distinct()
                        .toList());
    }
}
