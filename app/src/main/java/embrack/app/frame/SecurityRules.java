package embrack.app.frame;

import embrack.app.door.Admission;
import embrack.app.door.Visitors;
import embrack.app.door.Watch;
import embrack.app.store.Beside;
import embrack.app.store.RigStore;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Who may come in is said in {@code embrack.app.door}, and looked at before anything is drawn or remembered. Forms
 * carry a token, so that other pages open in the same browser cannot edit a rig; the token is in a cookie, so that a
 * page outlives a restart of the server.
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

    /** The token of the forms, in a cookie. */
    @Bean
    CsrfTokenRepository formTokens() {
        var token = new CookieCsrfTokenRepository();
        token.setCookieCustomizer(cookie -> cookie.sameSite("Strict").httpOnly(true));
        return token;
    }

    /**
     * Argon2id with 19 MiB, two passes, one lane. Source: RFC 9106; the figures are those that OWASP's cheat sheet on
     * keeping passwords asks for at the least (from memory).
     */
    @Bean
    PasswordEncoder passwords() {
        return new Argon2PasswordEncoder(16, 32, 1, 19 << 10, 2);
    }

    @Bean
    SecurityFilterChain security(
            HttpSecurity http,
            DrawnPages pages,
            CsrfTokenRepository token,
            Visitors visitors,
            RigStore rigs,
            @Value("${embrack.metrics-key}") String metricsKey)
            throws Exception {
        return http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
                .csrf(csrf -> csrf.csrfTokenRepository(token))
                .addFilterBefore(new Admission(visitors, rigs, new Watch(metricsKey)), CsrfFilter.class)
                .addFilterAfter(new EarlyToken(), CsrfFilter.class)
                .addFilterAfter(pages, EarlyToken.class)
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                // Who sent a request is said by the doors.
                .servletApi(api -> api.disable())
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(ONLY_OURS))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }
}
