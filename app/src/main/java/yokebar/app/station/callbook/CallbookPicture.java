package yokebar.app.station.callbook;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A station's picture, apart from what else is known so that nobody reads it along. */
@Entity
@Table(name = "callbook_picture")
class CallbookPicture {
    @Id
    String callSign = "";

    String mediaType = "";

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] content = {};
}
