package embrack.app.frame;

import embrack.app.store.Hand;
import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
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
 * Gives each route that edits the {@link Hand} of its request: who is signed in; the revision that the page showed,
 * from the field "seen" or the header {@value #SEEN}; the mark of the sending, from the header {@value #ONCE}, as in
 * the draft "The Idempotency-Key HTTP Header Field" of the IETF.
 */
@Component
class HandArgument implements HandlerMethodArgumentResolver, WebMvcConfigurer {

    static final String SEEN = "Embrack-Seen";
    static final String ONCE = "Idempotency-Key";

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Hand.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        return of((HttpServletRequest) request.getNativeRequest());
    }

    static Hand of(HttpServletRequest request) {
        Optional<Integer> seen = Optional.ofNullable(request.getParameter("seen"))
                .or(() -> Optional.ofNullable(request.getHeader(SEEN)))
                .filter(text -> text.matches("\\d{1,9}"))
                .map(Integer::valueOf);
        Optional<String> once = Optional.ofNullable(request.getHeader(ONCE))
                .map(String::strip)
                .filter(mark -> mark.matches("[!-~]{1,%d}".formatted(Hand.MAX_ONCE)));
        return new Hand(
                Optional.ofNullable(request.getUserPrincipal())
                        .map(Principal::getName)
                        .orElse(Hand.SOMEBODY),
                seen,
                once);
    }
}
