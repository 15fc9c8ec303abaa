package yokebar.app.platform.web;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * How long browsers keep the interface. Its parts carry a sum of their content in their names and may be kept for good; the
 * page that names them is asked for each time, else the interface before an update would go on with the API after it.
 */
@Configuration(proxyBeanMethods = false)
class StaticFiles implements WebMvcConfigurer {
    private static final Duration FOR_GOOD = Duration.ofDays(365);

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/META-INF/resources/assets/")
                .setUseLastModified(false)
                .setCacheControl(CacheControl.maxAge(FOR_GOOD).cachePublic().immutable());
    }
}
