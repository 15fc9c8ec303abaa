package yokebar.app.operate.contest.team;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import yokebar.app.operate.contest.channel.Channel;
import yokebar.app.operate.contest.channel.Channels;
import yokebar.app.platform.actor.Actor;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.position.Positions;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;

/** The positions that work a contest book together. */
@Service
class Team {
    private static final int LONGEST_MESSAGE = 200;

    private final TeamBooks books;
    private final TeamMembers members;
    private final TakenBands bands;
    private final TeamMessages messages;
    private final Positions positions;
    private final Channels channels;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final Object taking = new Object();

    Team(
            TeamBooks books,
            TeamMembers members,
            TakenBands bands,
            TeamMessages messages,
            Positions positions,
            Channels channels,
            Clock clock,
            ApplicationEventPublisher events) {
        this.books = books;
        this.members = members;
        this.bands = bands;
        this.messages = messages;
        this.positions = positions;
        this.channels = channels;
        this.clock = clock;
        this.events = events;
    }

    private record Member(PositionAtWork atWork, Actor actor, Channel channel) {
        long positionId() {
            return atWork.positionId();
        }
    }

    TeamView of(long bookId) {
        books.mustExist(bookId);
        return view(bookId);
    }

    private TeamView view(long bookId) {
        List<Member> all = members(bookId);
        Map<Band, Long> taken = bands.of(bookId);
        return new TeamView(
                all.stream().map(one -> view(one, all, taken)).toList(),
                taken.entrySet().stream()
                        .map(entry -> new TeamView.TakenBandView(
                                entry.getKey().adifName(),
                                entry.getValue(),
                                name(entry.getValue()),
                                isAtWork(all, entry.getValue())))
                        .toList(),
                messages.latest(bookId).stream().map(Team::view).toList());
    }

    private List<Member> members(long bookId) {
        List<Member> all = new ArrayList<>();
        for (PositionAtWork one : members.of(bookId)) {
            positions
                    .actorAt(one.positionId())
                    .ifPresent(actor -> all.add(new Member(one, actor, channel(bookId, one))));
        }
        all.sort(Comparator.comparing((Member one) -> one.actor().position()).thenComparing(Member::positionId));
        return all;
    }

    private Channel channel(long bookId, PositionAtWork one) {
        return channels.of(
                new Channels.Typed(one.positionId(), one.frequency(), one.mode(), 0), () -> books.modes(bookId));
    }

    private TeamView.MemberView view(Member one, List<Member> all, Map<Band, Long> taken) {
        Channel channel = one.channel();
        Band band = channel.band();
        return new TeamView.MemberView(
                one.positionId(),
                one.actor().position(),
                one.actor().person(),
                positions.radioOf(one.positionId()).orElse(null),
                channel.frequencyHz(),
                band == null ? null : band.adifName(),
                channel.mode() == null ? null : channel.mode().label(),
                one.atWork().way(),
                band == null ? null : warning(one, band, all, taken.get(band)));
    }

    private @Nullable String warning(Member one, Band band, List<Member> all, @Nullable Long takenBy) {
        if (takenBy != null && takenBy != one.positionId()) {
            return band.adifName() + " is taken by " + name(takenBy) + ".";
        }
        return all.stream()
                .filter(other -> other != one && band == other.channel().band())
                .findFirst()
                .map(other -> other.actor().position() + " is on " + band.adifName() + ", too.")
                .orElse(null);
    }

    private static TeamView.MessageView view(MessageRow row) {
        return new TeamView.MessageView(
                Objects.requireNonNull(row.id),
                row.sentAt,
                row.sender,
                row.toPosition,
                row.addressee,
                row.wording,
                row.call,
                row.frequencyHz,
                row.taken);
    }

    private static boolean isAtWork(List<Member> all, long positionId) {
        return all.stream().anyMatch(one -> one.positionId() == positionId);
    }

    /** A position that was removed meanwhile has no name. */
    private String name(long positionId) {
        return positions.actorAt(positionId).map(Actor::position).orElse("a position that is gone");
    }

    private String sender(long positionId) {
        return positions
                .actorAt(positionId)
                .map(Actor::position)
                .orElseThrow(() -> Rejection.notThere("There is no position " + positionId + "."));
    }

    TeamView here(long bookId, PositionAtWork atWork) {
        books.mustExist(bookId);
        sender(atWork.positionId());
        if (members.here(bookId, atWork)) {
            events.publishEvent(new TeamUpdated());
        }
        return view(bookId);
    }

    /** @param toPositionId null for all */
    TeamView say(long bookId, long positionId, @Nullable Long toPositionId, @Nullable String typed) {
        String text = typed == null ? "" : typed.strip();
        if (text.isEmpty() || text.length() > LONGEST_MESSAGE) {
            throw new Rejection("text", "A message has 1 to " + LONGEST_MESSAGE + " characters.");
        }
        MessageRow row = message(bookId, positionId, toPositionId);
        row.wording = text;
        return store(row);
    }

    private MessageRow message(long bookId, long positionId, @Nullable Long toPositionId) {
        books.mustExist(bookId);
        MessageRow row = new MessageRow();
        row.bookId = bookId;
        row.sentAt = clock.instant();
        row.sender = sender(positionId);
        row.toPosition = toPositionId;
        row.addressee = toPositionId == null ? null : sender(toPositionId);
        return row;
    }

    private TeamView store(MessageRow row) {
        messages.add(row);
        events.publishEvent(new TeamUpdated());
        return view(row.bookId);
    }

    /** Takes a band for a position alone, or gives it back. One that has left the book leaves its bands to the others. */
    TeamView takeBand(long bookId, String name, long positionId, boolean take) {
        books.mustExist(bookId);
        sender(positionId);
        Band band = Band.named(name);
        if (band == null) {
            throw new Rejection("band", "\"" + name + "\" is no band; give it as 20m.");
        }
        synchronized (taking) {
            Long owner = bands.of(bookId).get(band);
            if (owner != null && owner != positionId && isAtWork(members(bookId), owner)) {
                throw new Rejection(
                        "band", band.adifName() + " is taken by " + name(owner) + "; ask there to give it back.");
            }
            if (take) {
                bands.take(bookId, band, positionId);
            } else {
                bands.giveBack(bookId, band);
            }
        }
        events.publishEvent(new TeamUpdated());
        return view(bookId);
    }

    /** The other positions, with what a station would bring there; those of which nobody knows the frequency are left out. */
    List<TeamView.PassOption> passOptions(long bookId, long positionId, @Nullable String typed) {
        Call call = call(typed);
        List<TeamView.PassOption> options = new ArrayList<>();
        for (Member one : members(bookId)) {
            Long hz = one.channel().frequencyHz();
            if (one.positionId() != positionId && hz != null) {
                options.add(new TeamView.PassOption(
                        one.positionId(),
                        one.actor().position(),
                        hz,
                        one.channel().mode() == null
                                ? null
                                : one.channel().mode().label(),
                        books.worth(bookId, call, one.channel())));
            }
        }
        return options;
    }

    private static Call call(@Nullable String typed) {
        return Optional.ofNullable(typed)
                .map(String::strip)
                .map(Call::read)
                .orElseThrow(() -> new Rejection("call", "Type the call of the station that is to be passed on."));
    }

    TeamView pass(long bookId, long positionId, long toPositionId, @Nullable String typed) {
        Call call = call(typed);
        TeamView.PassOption target = passOptions(bookId, positionId, call.text()).stream()
                .filter(one -> one.positionId() == toPositionId)
                .findFirst()
                .orElseThrow(() -> new Rejection(
                        "toPositionId", "Nobody is at work there, or it is not known on which frequency."));
        MessageRow row = message(bookId, positionId, toPositionId);
        row.call = call.text();
        row.frequencyHz = target.frequencyHz();
        return store(row);
    }

    TeamView takeStation(long bookId, long messageId) {
        messages.take(bookId, messageId);
        events.publishEvent(new TeamUpdated());
        return view(bookId);
    }
}
