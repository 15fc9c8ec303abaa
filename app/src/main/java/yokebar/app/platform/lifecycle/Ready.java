package yokebar.app.platform.lifecycle;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on standard output where the application is, once it can be used; scripts wait for this line. */
@Component
class Ready {

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            System.out.println(
                    "Yokebar is ready at http://127.0.0.1:" + web.getWebServer().getPort() + "/");
        }
    }
}
