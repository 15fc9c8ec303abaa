package yokebar.app.services.mail;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.handover.MailBatches;

/** Radio mail over HTTP. */
@RestController
@RequestMapping("/api/mail")
class MailController {
    private final Outbox outbox;
    private final MailSession session;
    private final MailBatches batches;

    MailController(Outbox outbox, MailSession session, MailBatches batches) {
        this.outbox = outbox;
        this.session = session;
        this.batches = batches;
    }

    /**
     * @param address of the gateway, host and port; null until it is set
     * @param due contacts that a letter could take
     */
    record MailView(
            @Nullable String address,
            @Nullable String callSign,
            long due,
            List<Outbox.LetterView> letters,
            MailSession.State session) {}

    /** The outbox of radio mail, and how its session goes. */
    @GetMapping
    MailView view() {
        MailGatewayRow gateway = outbox.gateway();
        return new MailView(
                gateway == null ? null : gateway.address,
                gateway == null ? null : gateway.callSign,
                batches.due(),
                outbox.letters(),
                session.state());
    }

    /** Sets the gateway radio mail is handed to. */
    @PutMapping
    MailView setGateway(@RequestBody Outbox.GatewayDraft draft) {
        outbox.setGateway(draft);
        return view();
    }

    /** Makes a letter of what is due. */
    @PostMapping("/letters")
    MailView pack() {
        if (outbox.pack() == 0) {
            throw new Rejection("letter", "Nothing is due that could be mailed.");
        }
        return view();
    }

    /** Takes a letter out of the outbox. */
    @DeleteMapping("/letters/{handoverId}")
    MailView takeBack(@PathVariable long handoverId) {
        outbox.takeBack(handoverId);
        return view();
    }

    /** Begins a session with the gateway. */
    @PostMapping("/session")
    MailView begin() {
        session.begin();
        return view();
    }

    /** Ends the session with the gateway. */
    @DeleteMapping("/session")
    MailView end() {
        session.end();
        return view();
    }
}
