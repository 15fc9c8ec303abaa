package yokebar.app.services.confirm;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** The picture of an electronic card, fetched once and kept. */
@Entity
@Table(name = "card_picture")
class CardPicture {
    @Id
    long confirmationId;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] content = new byte[0];
}
