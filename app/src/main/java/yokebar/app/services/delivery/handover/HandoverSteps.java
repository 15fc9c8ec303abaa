package yokebar.app.services.delivery.handover;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.services.delivery.ServiceLine;
import yokebar.app.services.delivery.ServiceLines;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.app.services.delivery.ledger.Withdrawal;
import yokebar.app.services.delivery.ledger.Withdrawals;
import yokebar.app.services.delivery.picture.ContactPictures;
import yokebar.app.sources.hookup.ServiceCoupling.Purpose;
import yokebar.links.platform.status.Pauses;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.BatchReport;
import yokebar.links.services.delivery.Submission;

/** One call to a service, and what comes of it written down. Nothing is marked that the service did not say. */
@Component
class HandoverSteps {
    private static final Pauses REPORT_PAUSES = new Pauses(Duration.ofSeconds(1), Duration.ofMinutes(5));

    private final HandoverDesk desk;
    private final HandoverRepository handovers;
    private final Withdrawals withdrawals;
    private final ContactPictures pictures;
    private final ServiceLines lines;
    private final Clock clock;

    HandoverSteps(
            HandoverDesk desk,
            HandoverRepository handovers,
            Withdrawals withdrawals,
            ContactPictures pictures,
            ServiceLines lines,
            Clock clock) {
        this.pictures = pictures;
        this.desk = desk;
        this.handovers = handovers;
        this.withdrawals = withdrawals;
        this.lines = lines;
        this.clock = clock;
    }

    /** @return whether the line still works */
    boolean send(long handoverId, int serviceId) {
        HandoverDesk.Beginning beginning = desk.beginTry(handoverId);
        if (beginning == HandoverDesk.Beginning.DROPPED) {
            return true;
        }
        Handover handover = handovers.get(handoverId);
        ServiceLine line = lines.line(serviceId);
        try {
            byte[] content = handovers.content(handoverId);
            Submission submission = beginning == HandoverDesk.Beginning.ASK
                    ? arrived(line, Purpose.HAND_OVER, content, handover)
                    : line.call(Purpose.HAND_OVER, l -> l.submit(content, handover.idempotencyKey));
            if (submission == null) {
                desk.drop(handoverId);
                return true;
            }
            BatchReport report = submission.report();
            if (report != null && report.results().size() != handover.contactIds.length) {
                desk.tryAgain(handoverId, REPORT_PAUSES.longest(), mismatch(report, handover));
                return true;
            }
            desk.submitted(handoverId, submission);
            line.moved(handover.contactIds.length, contacts(handover.contactIds.length) + " handed over");
            return true;
        } catch (ServiceUnreachable e) {
            desk.tryAgain(handoverId, untilNextAttempt(line, Purpose.HAND_OVER), e.getMessage());
            return false;
        } catch (ServiceRefused e) {
            if (e.about() != ServiceRefused.About.CONTENT) {
                desk.tryAgain(handoverId, untilNextAttempt(line, Purpose.HAND_OVER), e.getMessage());
                return false;
            }
            desk.refused(handoverId, String.valueOf(e.getMessage()));
            return true;
        }
    }

    /** @return whether the line still works */
    boolean askForReport(long handoverId) {
        Handover handover = handovers.get(handoverId);
        ServiceLine line = lines.line(handover.serviceId);
        try {
            if (handover.receiptNumber == null) {
                return askWhetherItArrived(handover, line);
            }
            BatchReport report = line.call(Purpose.FOLLOW_UP, l -> l.report(String.valueOf(handover.receiptNumber)));
            if (!report.processed()) {
                desk.tryAgain(handover.number(), REPORT_PAUSES.after(handover.attempts + 1), null);
            } else if (report.results().size() != handover.contactIds.length) {
                desk.tryAgain(handover.number(), REPORT_PAUSES.longest(), mismatch(report, handover));
            } else {
                desk.reported(handover.number(), report);
                line.moved(0, "Report on " + contacts(handover.contactIds.length));
            }
            return true;
        } catch (ServiceUnreachable e) {
            desk.tryAgain(handover.number(), untilNextAttempt(line, Purpose.FOLLOW_UP), e.getMessage());
            return false;
        } catch (ServiceRefused e) {
            desk.tryAgain(handover.number(), REPORT_PAUSES.longest(), e.getMessage());
            return e.about() == ServiceRefused.About.CONTENT;
        }
    }

    private boolean askWhetherItArrived(Handover handover, ServiceLine line) throws ServiceRefused, ServiceUnreachable {
        byte[] content = handovers.content(handover.number());
        Submission submission = arrived(line, Purpose.FOLLOW_UP, content, handover);
        if (submission == null) {
            desk.tryAgain(
                    handover.number(), REPORT_PAUSES.after(handover.attempts + 1), "It has not arrived there yet.");
        } else {
            desk.arrived(handover.number(), submission.receipt());
        }
        return true;
    }

    /** What the service made of the batch when it came; null when it did not. */
    private static @Nullable Submission arrived(ServiceLine line, Purpose purpose, byte[] content, Handover handover)
            throws ServiceRefused, ServiceUnreachable {
        return line.call(purpose, l -> Optional.ofNullable(l.arrived(content, handover.idempotencyKey)))
                .orElse(null);
    }

    private static String mismatch(BatchReport report, Handover handover) {
        return "The report speaks of " + report.results().size() + " contacts, the batch held "
                + handover.contactIds.length + ". Nothing was marked.";
    }

    private Duration untilNextAttempt(ServiceLine line, Purpose purpose) {
        Duration pause = Duration.between(clock.instant(), line.nextAttempt(purpose));
        return pause.isNegative() ? Duration.ZERO : pause;
    }

    /** @return whether the line still works */
    boolean withdraw(Withdrawal withdrawal) {
        return follow(
                withdrawal.serviceId,
                Purpose.HAND_OVER,
                line -> line.withdraw(withdrawal.number),
                "1 contact deleted there",
                () -> withdrawals.withdrawn(withdrawal.key()),
                words -> withdrawals.notWithdrawn(withdrawal.key(), words));
    }

    /**
     * Sends a picture after its contact, or takes it away there.
     *
     * @return whether the line still works
     */
    boolean sendPicture(int serviceId, ContactPictures.Due next) {
        ContactPictures.Due due = pictures.begin(next);
        if (due == null) {
            return true;
        }
        byte[] content = due.content();
        return follow(
                serviceId,
                Purpose.FOLLOW_UP,
                line -> {
                    if (content == null) {
                        line.takePictureAway(due.number());
                    } else {
                        line.putPicture(due.number(), content);
                    }
                },
                content == null ? "1 picture taken away there" : "1 picture handed over",
                () -> pictures.settled(due),
                words -> pictures.refused(due, words));
    }

    /** Something that follows a contact to where it is. */
    @FunctionalInterface
    private interface Following {
        void on(ServiceAdapter.Line line) throws ServiceRefused, ServiceUnreachable;
    }

    private boolean follow(
            int serviceId,
            Purpose purpose,
            Following following,
            String event,
            Runnable done,
            Consumer<String> refused) {
        ServiceLine line = lines.line(serviceId);
        try {
            line.call(purpose, l -> {
                following.on(l);
                return event;
            });
        } catch (ServiceUnreachable e) {
            return false;
        } catch (ServiceRefused e) {
            if (e.about() != ServiceRefused.About.CONTENT) {
                return false;
            }
            refused.accept(String.valueOf(e.getMessage()));
            return true;
        }
        done.run();
        line.moved(0, event);
        return true;
    }

    static String contacts(int count) {
        return count == 1 ? "1 contact" : count + " contacts";
    }
}
