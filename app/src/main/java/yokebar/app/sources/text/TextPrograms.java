package yokebar.app.sources.text;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentSkipListMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.sources.hookup.Hookups;
import yokebar.links.sources.text.TextFeedMessage;

/** All programs that decode radioteletype. */
@Service
public class TextPrograms implements SmartLifecycle, TextProgram.Listener {
    private static final int TELL_EVERY_MS = 2_000;

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Hookups hookups;
    private final ReceivedText text;
    private final Clock clock;
    private final Map<Long, TextProgram> programs = new ConcurrentSkipListMap<>();
    private volatile boolean running;

    TextPrograms(EntityManager db, TransactionTemplate transaction, Hookups hookups, ReceivedText text, Clock clock) {
        this.db = db;
        this.transaction = transaction;
        this.hookups = hookups;
        this.text = text;
        this.clock = clock;
    }

    @Override
    public void start() {
        running = true;
        List<TextProgramRow> rows =
                transaction.execute(status -> db.createQuery("from TextProgramRow order by id", TextProgramRow.class)
                        .getResultList());
        rows.forEach(this::set);
    }

    @Override
    public void stop() {
        programs.values().forEach(program -> program.hookup().disconnect());
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Whether any of them receives now. */
    public boolean anyLive() {
        return programs.values().stream().anyMatch(program -> program.hookup().live());
    }

    /** Why no program would send a text in radioteletype now, in a sentence; null when one would. */
    public @Nullable String sendingObstacle() {
        TextProgram nearest = null;
        for (TextProgram program : programs.values()) {
            if (program.obstacle() == null) {
                return null;
            }
            if (nearest == null || program.nearness() > nearest.nearness()) {
                nearest = program;
            }
        }
        return nearest == null
                ? "No program that sends radioteletype is set up, so no text is sent."
                : nearest.obstacle();
    }

    /**
     * Has a text sent by the first program that sends. Whoever asks sees to it that a radio transmits meanwhile.
     *
     * @return completed with why it was not sent to its end; with an empty text when it was, or was stopped. It is completed in any case, in the
     *     thread of the link or of the time limit
     */
    public CompletableFuture<String> send(String text) {
        return programs.values().stream()
                .filter(program -> program.obstacle() == null)
                .findFirst()
                .map(program -> program.send(text))
                .orElseGet(() -> CompletableFuture.completedFuture(String.valueOf(sendingObstacle())));
    }

    /** Ends what is sent, and what waits behind it. */
    public void stopSending() {
        programs.values().forEach(TextProgram::stopSending);
    }

    List<TextProgramView> views() {
        return programs.values().stream().map(TextProgramView::of).toList();
    }

    void save(@Nullable Long id, TextProgramDraft draft) {
        set(OnConflict.tryAgain(() -> transaction.execute(status -> {
            TextProgramRow row = id == null ? new TextProgramRow() : db.find(TextProgramRow.class, id);
            if (row == null) {
                throw new Rejection("id", "There is no such program.");
            }
            draft.fill(row);
            refuseTaken(row);
            db.persist(row);
            return row;
        })));
    }

    /** At one address its decoders would have two votes each, and of one name two decoders would be taken for one. */
    private void refuseTaken(TextProgramRow row) {
        for (TextProgram other : programs.values()) {
            if (Objects.equals(other.row().id, row.id)) {
                continue;
            }
            if (other.row().address.equals(row.address)) {
                throw new Rejection("address", other.row().name + " is at " + row.address + " already.");
            }
            if (other.row().name.equalsIgnoreCase(row.name)) {
                throw new Rejection("name", "There is a program " + other.row().name + " already.");
            }
        }
    }

    void remove(long id) {
        transaction.executeWithoutResult(status -> {
            TextProgramRow row = db.find(TextProgramRow.class, id);
            if (row != null) {
                db.remove(row);
            }
        });
        TextProgram program = programs.remove(id);
        if (program != null) {
            program.hookup().disconnect();
            hookups.remove(program.hookup());
            text.forget(program.row().name);
        }
    }

    private void set(TextProgramRow row) {
        TextProgram fresh = new TextProgram(row, clock, this);
        TextProgram before = programs.put(row.number(), fresh);
        if (before != null) {
            before.hookup().disconnect();
            text.forget(before.row().name);
        }
        hookups.register(fresh.hookup());
        if (hookups.wanted(fresh.hookup().id())) {
            fresh.hookup().connect();
        }
        text.programsChanged();
    }

    @Override
    public void heard(TextProgram program, TextFeedMessage.Character character) {
        // A character may still be on its way from a program that was just removed.
        if (programs.get(program.row().number()) == program) {
            text.heard(program.row().name, character);
        }
    }

    /** Characters come all the time; their rate is told now and then. */
    @Scheduled(fixedDelay = TELL_EVERY_MS)
    void tellRates() {
        programs.values().stream()
                .filter(TextProgram::movedSinceAsked)
                .forEach(program -> hookups.changed(program.hookup().id()));
    }

    @Override
    public void linkChanged(TextProgram program) {
        hookups.changed(program.hookup().id());
        text.programsChanged();
    }
}
