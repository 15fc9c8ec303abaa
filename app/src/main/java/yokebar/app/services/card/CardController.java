package yokebar.app.services.card;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.log.store.LogLine;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;

/** Paper cards over HTTP. */
@RestController
@RequestMapping("/api/cards")
class CardController {
    private final PaperCards cards;

    CardController(PaperCards cards) {
        this.cards = cards;
    }

    /** @param manager the manager's call, where that is the way */
    record CardDraft(List<Long> contactIds, PaperCardRow.Via via, @Nullable String manager) {}

    /** Contacts that something happened to. */
    record CardsChosen(List<Long> contactIds) {}

    /** @param pile what is not true after all: {@code SENT} or {@code RECEIVED} */
    record CardsTakenBack(List<Long> contactIds, PaperCards.Pile pile) {}

    /** How many cards lie on each pile. */
    @GetMapping("/piles")
    PaperCards.Piles piles() {
        return cards.piles();
    }

    /** The cards of one pile, the newest contacts first. */
    @GetMapping
    List<PaperCards.CardView> pile(@RequestParam PaperCards.Pile pile) {
        return cards.pile(pile);
    }

    /** Chooses contacts that want a card, or want none any more. */
    @PostMapping
    PaperCards.Piles want(@RequestBody CardDraft draft) {
        return doing(() -> cards.want(draft.contactIds(), draft.via(), draft.manager()));
    }

    /** Notes cards that went out. */
    @PostMapping("/sent")
    PaperCards.Piles markSent(@RequestBody CardsChosen chosen) {
        return doing(() -> cards.sent(chosen.contactIds()));
    }

    /** Notes cards that came in. */
    @PostMapping("/received")
    PaperCards.Piles markReceived(@RequestBody CardsChosen chosen) {
        return doing(() -> cards.received(chosen.contactIds()));
    }

    /** Takes back what was noted of cards. */
    @PostMapping("/taken-back")
    PaperCards.Piles takeBack(@RequestBody CardsTakenBack back) {
        return doing(() -> cards.takeBack(back.contactIds(), back.pile()));
    }

    /** Takes cards off the pile of those to be sent. */
    @PostMapping("/dropped")
    PaperCards.Piles drop(@RequestBody CardsChosen chosen) {
        return doing(() -> cards.drop(chosen.contactIds()));
    }

    /** What a scanner read, or what was typed from a card that came. */
    @GetMapping("/find")
    List<LogLine> find(@RequestParam String scanned) {
        return cards.find(scanned);
    }

    /** Address labels for these contacts, as they stand together. */
    @GetMapping("/labels.pdf")
    ResponseEntity<byte[]> labels(@RequestParam List<Long> ids) {
        return pdf("labels.pdf", ids, CardPrint::labels);
    }

    /** Whole cards for these contacts. */
    @GetMapping("/cards.pdf")
    ResponseEntity<byte[]> sheets(@RequestParam List<Long> ids) {
        return pdf("cards.pdf", ids, CardPrint::cards);
    }

    private ResponseEntity<byte[]> pdf(String name, List<Long> ids, Function<List<PaperCards.Printed>, byte[]> print) {
        List<PaperCards.Printed> printed = cards.toPrint(ids);
        if (printed.isEmpty()) {
            throw new Rejection("ids", "None of these contacts is in the log any more.");
        }
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"")
                .body(print.apply(printed));
    }

    private PaperCards.Piles doing(Runnable action) {
        OnConflict.tryAgain(() -> {
            action.run();
            return true;
        });
        return cards.piles();
    }
}
