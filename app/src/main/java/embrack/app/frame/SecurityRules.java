package embrack.app.frame;

import embrack.app.store.Beside;
import embrack.app.store.RigStore;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Embrack asks nobody on this machine to sign in; who may knock from elsewhere is said in {@code embrack.app.door}.
 * Forms carry a token, so that other pages open in the same browser cannot edit a rig; the token is in a cookie, so
 * that a page outlives a restart of the server.
 */
@Configuration
class SecurityRules {

    private static final String ONLY_OURS =
            "default-src 'self'; img-src 'self' data:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'";

    @Bean
    DrawnPages drawnPages(RigStore rigs, Beside beside) {
        return new DrawnPages(rigs, beside);
    }

    /** Only behind the rules below, where the token of the forms is known, and not once more beside them. */
    @Bean
    FilterRegistrationBean<DrawnPages> onlyBehindTheRules(DrawnPages pages) {
        var registration = new FilterRegistrationBean<>(pages);
        registration.setEnabled(false);
        return registration;
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http, DrawnPages pages) throws Exception {
        var token = new CookieCsrfTokenRepository();
        token.setCookieCustomizer(cookie -> cookie.sameSite("Strict").httpOnly(true));
        return http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
                .csrf(csrf -> csrf.csrfTokenRepository(token))
                .addFilterAfter(new EarlyToken(), CsrfFilter.class)
                .addFilterAfter(pages, EarlyToken.class)
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(ONLY_OURS))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }
}
