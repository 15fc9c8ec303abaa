package yokebar.core.log.tally;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.From;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.Size;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;

/** Counting one by one, in and out, comes to the same as counting what is left. */
class TallyPropertyTest {
    private static final Set<CreditKind> KINDS = EnumSet.of(CreditKind.ENTITY, CreditKind.REFERENCE);
    private static final LocalDate DAY = LocalDate.parse("2026-05-01");

    @Provide
    Arbitrary<ContactCredits> credits() {
        Arbitrary<List<CreditKey>> keys = Combinators.combine(
                        Arbitraries.of("149", "291"), Arbitraries.of("CU-0012", "EU-003"), Arbitraries.of("14", "5"))
                .as((entity, reference, zone) -> List.of(
                        CreditKind.ENTITY.key(entity),
                        CreditKind.REFERENCE.key(reference),
                        CreditKind.CQ_ZONE.key(zone)));
        Arbitrary<ContactOrigin> origins = Combinators.combine(
                        Arbitraries.of("CU9QYB", "CU9QLZ"),
                        Arbitraries.integers().between(-2, 2))
                .as((call, days) -> new ContactOrigin(call, "HM49kq", DAY.plusDays(days)));
        return Combinators.combine(
                        keys,
                        Arbitraries.of(Band.M20, Band.M40),
                        Arbitraries.of(ModeGroup.values()),
                        Arbitraries.of(Proofs.NONE, Proofs.by(1), Proofs.by(1).and(70)),
                        origins)
                .as(ContactCredits::new);
    }

    @Property
    void whatIsTakenOutAgainWasNeverThere(
            @ForAll("credits") ContactCredits first,
            @ForAll @Size(max = 30) List<@From("credits") ContactCredits> others,
            @ForAll("scopes") Scope scope) {
        List<ContactCredits> all = new ArrayList<>(others);
        all.add(first);
        Tally tally = new Tally(scope, KINDS);
        all.forEach(tally::add);
        List<ContactCredits> left = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (i % 2 == 0) {
                tally.remove(all.get(i));
            } else {
                left.add(all.get(i));
            }
        }
        for (CreditKey key : List.of(
                CreditKind.ENTITY.key("149"),
                CreditKind.ENTITY.key("291"),
                CreditKind.REFERENCE.key("CU-0012"),
                CreditKind.REFERENCE.key("EU-003"))) {
            long counted = left.stream()
                    .filter(one -> scope.covers(one.origin()) && scope.covers(one.band(), one.group()))
                    .filter(one -> one.keys().contains(key))
                    .count();
            assertThat(tally.of(key).contacts()).isEqualTo((int) counted);
            assertThat(tally.has(key)).isEqualTo(counted > 0);
        }
        assertThat(tally.of(CreditKind.CQ_ZONE.key("14")))
                .as("a kind it does not count")
                .isEqualTo(Worked.NOTHING);
    }

    @Provide
    Arbitrary<Scope> scopes() {
        return Arbitraries.of(
                Scope.WHOLE_LOG,
                Scope.of(Set.of("CU9QLZ"), null),
                Scope.of(Set.of(), DAY),
                new Scope(Set.of(), Set.of("HM49"), null, DAY, Set.of(Band.M20), Set.of(ModeGroup.CW)));
    }
}
