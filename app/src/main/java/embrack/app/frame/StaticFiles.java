package embrack.app.frame;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Styles, scripts and fonts. Pages ask for them below a number that is made of their bytes, so that a browser keeps
 * them for a year and never sees an old one; what they ask for among themselves lies below the same number.
 */
@Configuration(proxyBeanMethods = false)
class StaticFiles implements WebMvcConfigurer {

    private static final String OWN = "classpath:/static/";
    private static final String LIBRARIES = "classpath:/META-INF/resources/webjars/";

    /** As many hexadecimal digits as tell one build from all others. */
    private static final int DIGITS = 16;

    private final String version = version();

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        handle(registry, "/webjars/**", LIBRARIES);
        handle(registry, "/**", OWN);
    }

    private void handle(ResourceHandlerRegistry registry, String paths, String place) {
        registry.addResourceHandler(paths)
                .addResourceLocations(place)
                .resourceChain(false) // a cache there would not know who asked for what is packed
                .addResolver(new VersionResourceResolver().addFixedVersionStrategy(version, "/**"))
                .addResolver(new PackedFiles(version));
    }

    /** Has templates write addresses with the number. */
    @Bean
    FilterRegistrationBean<ResourceUrlEncodingFilter> addressesWithTheNumber() {
        return new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
    }

    private static String version() {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            Resource[] files = new PathMatchingResourcePatternResolver().getResources("classpath*:/static/**/*.*");
            Arrays.sort(files, Comparator.comparing(file -> String.valueOf(file.getFilename())));
            for (Resource file : files) {
                digest.update(file.getContentAsByteArray());
            }
            return HexFormat.of().formatHex(digest.digest()).substring(0, DIGITS);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
