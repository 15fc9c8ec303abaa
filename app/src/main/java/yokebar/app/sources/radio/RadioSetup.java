package yokebar.app.sources.radio;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import yokebar.links.sources.radio.KeyRescueProcess;
import yokebar.links.sources.radio.RadioDialects;

/** What the radios are made with. */
@Configuration(proxyBeanMethods = false)
class RadioSetup {

    @Bean
    RadioDialects radioDialects() {
        return RadioDialects.standard();
    }

    @Bean
    KeyRescueProcess keyRescueProcess() {
        return new KeyRescueProcess(RescueCommand.command());
    }
}
