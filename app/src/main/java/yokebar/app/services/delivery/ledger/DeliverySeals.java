package yokebar.app.services.delivery.ledger;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.Seal;
import yokebar.app.log.Seals;
import yokebar.app.services.delivery.ServiceAccounts;
import yokebar.core.services.delivery.Hold;

/** Tells the log where its contacts stand. */
@Service
class DeliverySeals implements Seals {
    private static final int AT_ONCE = 20_000;
    private static final String PIECE =
            "select contact_id, service_id, state from delivery where contact_id >= ? and (contact_id > ? or service_id > ?)"
                    + " order by contact_id, service_id limit " + AT_ONCE;

    private static final String SOME = "select d.contact_id, d.service_id, d.state from unnest(?) as w(id)"
            + " join delivery d on d.contact_id = w.id";

    private final DeliveryRepository repository;
    private final DataSource database;
    private final ServiceAccounts accounts;

    DeliverySeals(DeliveryRepository repository, DataSource database, ServiceAccounts accounts) {
        this.repository = repository;
        this.database = database;
        this.accounts = accounts;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, List<Seal>> of(Collection<Long> contactIds) {
        if (contactIds.isEmpty()) {
            return Map.of();
        }
        Map<Integer, String> names = services();
        return repository.of(contactIds).stream()
                .collect(Collectors.groupingBy(
                        Delivery::contactId,
                        Collectors.mapping(delivery -> seal(delivery, names), Collectors.toList())));
    }

    private static Seal seal(Delivery delivery, Map<Integer, String> names) {
        Hold hold = delivery.hold();
        return new Seal(
                delivery.serviceId,
                delivery.state.name(),
                delivery.why(names.getOrDefault(delivery.serviceId, "the service")),
                hold == null ? null : hold.key());
    }

    @Override
    public Map<Integer, String> services() {
        return accounts.names();
    }

    /** In pieces by number, straight from the table, for the same reasons as the log itself is read so. */
    @Override
    public void forEach(Receiver receiver) {
        try (Connection connection = database.getConnection();
                PreparedStatement piece = connection.prepareStatement(PIECE)) {
            DeliveryKey after = new DeliveryKey(0, 0);
            int read;
            do {
                piece.setLong(1, after.contactId());
                piece.setLong(2, after.contactId());
                piece.setInt(3, after.serviceId());
                read = 0;
                try (ResultSet rows = piece.executeQuery()) {
                    while (rows.next()) {
                        after = new DeliveryKey(rows.getLong(1), rows.getInt(2));
                        receiver.stands(after.contactId(), after.serviceId(), rows.getString(3));
                        read++;
                    }
                }
            } while (read == AT_ONCE);
        } catch (SQLException e) {
            throw notRead(e);
        }
    }

    @Override
    public void forEach(Collection<Long> contactIds, Receiver receiver) {
        if (contactIds.isEmpty()) {
            return;
        }
        try (Connection connection = database.getConnection();
                PreparedStatement some = connection.prepareStatement(SOME)) {
            some.setArray(1, connection.createArrayOf("bigint", contactIds.toArray()));
            try (ResultSet rows = some.executeQuery()) {
                while (rows.next()) {
                    receiver.stands(rows.getLong(1), rows.getInt(2), rows.getString(3));
                }
            }
        } catch (SQLException e) {
            throw notRead(e);
        }
    }

    private static IllegalStateException notRead(SQLException cause) {
        return new IllegalStateException("The states at the services could not be read for searching.", cause);
    }
}
