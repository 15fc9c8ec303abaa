package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
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
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.core.services.delivery.Hold;

/** Tells the log where its contacts stand. */
@Service
class DeliverySeals implements Seals {
    private static final int AT_ONCE = 20_000;
    private static final String PIECE =
            "select id, service_id, state from delivery where id > ? order by id limit " + AT_ONCE;

    private final EntityManager db;
    private final DataSource database;
    private final List<ServiceAdapter> services;

    DeliverySeals(EntityManager db, DataSource database, List<ServiceAdapter> services) {
        this.db = db;
        this.database = database;
        this.services = services;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, List<Seal>> of(Collection<Long> contactIds) {
        if (contactIds.isEmpty()) {
            return Map.of();
        }
        Long[] ids = contactIds.stream()
                .flatMap(contact -> services.stream().map(s -> Delivery.id(contact, s.serviceId())))
                .toArray(Long[]::new);
        List<Delivery> deliveries = db.createNativeQuery(
                        "select d.* from unnest(:ids) as w(id) join delivery d on d.id = w.id order by d.id",
                        Delivery.class)
                .setParameter("ids", ids)
                .getResultList();
        Map<Integer, String> names = services();
        return deliveries.stream()
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
        return services.stream().collect(Collectors.toMap(ServiceAdapter::serviceId, s -> s.rules()
                .serviceName()));
    }

    /** In pieces by number, straight from the table, for the same reasons as the log itself is read so. */
    @Override
    public void forEach(Receiver receiver) {
        try (Connection connection = database.getConnection();
                PreparedStatement piece = connection.prepareStatement(PIECE)) {
            long after = 0;
            int read;
            do {
                piece.setLong(1, after);
                read = 0;
                try (ResultSet rows = piece.executeQuery()) {
                    while (rows.next()) {
                        after = rows.getLong(1);
                        receiver.stands(after / Delivery.SERVICES, rows.getInt(2), rows.getString(3));
                        read++;
                    }
                }
            } while (read == AT_ONCE);
        } catch (SQLException e) {
            throw new IllegalStateException("Where the contacts stand could not be read for searching.", e);
        }
    }
}
