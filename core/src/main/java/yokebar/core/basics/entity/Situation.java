package yokebar.core.basics.entity;

import yokebar.core.log.adif.AdifFields;

/**
 * Where a call says it is.
 *
 * @param prefix the piece of the call that told
 * @param cqZone of the call's area, 1 to 40
 * @param ituZone of the call's area, 1 to 90
 * @param continent of the call's area, ADIF's two letters
 */
public record Situation(Entity entity, String prefix, int cqZone, int ituZone, String continent) {

    /** As ADIF says it of the other station. */
    public AdifFields fields() {
        return AdifFields.of(
                "DXCC", Integer.toString(entity.number()),
                "COUNTRY", entity.name(),
                "CONT", continent,
                "CQZ", Integer.toString(cqZone),
                "ITUZ", Integer.toString(ituZone));
    }
}
