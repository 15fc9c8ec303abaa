package yokebar.app.platform.storage;

import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.hibernate.engine.spi.SessionImplementor;
import org.hibernate.generator.BeforeExecutionGenerator;
import org.hibernate.generator.EventType;
import org.hibernate.metamodel.mapping.AttributeMapping;
import org.hibernate.metamodel.mapping.BasicValuedModelPart;
import org.hibernate.metamodel.mapping.JdbcMapping;
import org.hibernate.metamodel.mapping.NonAggregatedIdentifierMapping;
import org.hibernate.persister.entity.EntityPersister;
import org.hibernate.spi.NavigablePath;
import org.jspecify.annotations.Nullable;

/**
 * The insert statement of an entity whose attributes are plain columns, made from Hibernate's mapping of it. Hibernate's own
 * insert looks up every value of every row by table and column name before it binds it; for thirty columns and thousands of
 * rows at once that costs more than the database does.
 */
final class RowInsert {

    private record ColumnBinding(AttributeMapping attribute, JdbcMapping type) {}

    private final EntityPersister entity;
    /** Null when the key has several columns, which are then among the others. */
    private final @Nullable JdbcMapping idType;

    private final List<ColumnBinding> columns = new ArrayList<>();
    private final String sql;

    private RowInsert(EntityPersister entity) {
        this.entity = entity;
        List<String> names = new ArrayList<>();
        if (entity.getIdentifierMapping() instanceof NonAggregatedIdentifierMapping key) {
            this.idType = null;
            key.getVirtualIdEmbeddable().forEachAttributeMapping(attribute -> add(attribute, names));
        } else {
            this.idType = entity.getIdentifierMapping().getSingleJdbcMapping();
            names.add(entity.getIdentifierColumnNames()[0]);
        }
        entity.forEachAttributeMapping(attribute -> {
            // Hibernate's own stand-in for a key of several columns, which are there already.
            if (!attribute.getAttributeName().equals(NavigablePath.IDENTIFIER_MAPPER_PROPERTY)) {
                add(attribute, names);
            }
        });
        this.sql = "insert into " + entity.getTableName() + " (" + String.join(", ", names) + ") values ("
                + String.join(", ", Collections.nCopies(names.size(), "?")) + ")";
    }

    private void add(AttributeMapping attribute, List<String> names) {
        BasicValuedModelPart column = attribute.asBasicValuedModelPart();
        if (column == null) {
            throw new IllegalArgumentException(
                    entity.getEntityName() + "." + attribute.getAttributeName() + " is not a plain column");
        }
        columns.add(new ColumnBinding(attribute, column.getSingleJdbcMapping()));
        names.add(column.getSelectionExpression());
    }

    /** @throws IllegalArgumentException when an attribute is not a plain column */
    static RowInsert into(EntityPersister entity) {
        return new RowInsert(entity);
    }

    String sql() {
        return sql;
    }

    /** Gives the row its number, if it takes one from a sequence, and binds its values. */
    void bind(Object row, PreparedStatement statement, SessionImplementor session) throws SQLException {
        int index = 1;
        if (idType != null) {
            Object id = entity.getIdentifier(row, session);
            if (entity.getGenerator() instanceof BeforeExecutionGenerator numbers) {
                id = numbers.generate(session, row, id, EventType.INSERT);
                entity.setIdentifier(row, id, session);
            }
            bind(idType, id, index++, statement, session);
        }
        for (ColumnBinding column : columns) {
            bind(column.type(), column.attribute().getValue(row), index++, statement, session);
        }
    }

    @SuppressWarnings("unchecked")
    private static void bind(
            JdbcMapping type, Object value, int index, PreparedStatement statement, SessionImplementor session)
            throws SQLException {
        type.getJdbcValueBinder().bind(statement, type.convertToRelationalValue(value), index, session);
    }
}
