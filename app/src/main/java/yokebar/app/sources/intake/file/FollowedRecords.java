package yokebar.app.sources.intake.file;

import jakarta.persistence.EntityManager;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.core.basics.text.Sha256;

/**
 * Which records of followed files were dealt with. Programs write their files anew, cut them and move them; by this no record
 * comes a second time, and a contact that was deleted here does not come back.
 */
@Component
class FollowedRecords {
    private final EntityManager db;

    FollowedRecords(EntityManager db) {
        this.db = db;
    }

    /** Whether each text is new to the source; of texts that are alike only the first is. */
    @Transactional(readOnly = true)
    public boolean[] fresh(long sourceId, List<String> texts) {
        Set<Long> known = new HashSet<>(known(sourceId, texts));
        boolean[] fresh = new boolean[texts.size()];
        for (int i = 0; i < fresh.length; i++) {
            fresh[i] = known.add(hash(texts.get(i)));
        }
        return fresh;
    }

    private List<Long> known(long sourceId, List<String> texts) {
        return db.createNativeQuery(
                        "select r.text_hash from unnest(:hashes) as w(h) join followed_record r"
                                + " on r.source_id = :source and r.text_hash = w.h",
                        Long.class)
                .setParameter(
                        "hashes", texts.stream().map(FollowedRecords::hash).toArray(Long[]::new))
                .setParameter("source", sourceId)
                .getResultList();
    }

    /** Notes that they are dealt with; to be called in the transaction that does. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void remember(long sourceId, List<String> texts) {
        boolean[] fresh = fresh(sourceId, texts);
        List<Long> hashes = new ArrayList<>();
        for (int i = 0; i < fresh.length; i++) {
            if (fresh[i]) {
                hashes.add(hash(texts.get(i)));
            }
        }
        db.createNativeQuery("insert into followed_record (source_id, text_hash) select :source, w.h"
                        + " from unnest(:hashes) as w(h)")
                .setParameter("source", sourceId)
                .setParameter("hashes", hashes.toArray(Long[]::new))
                .executeUpdate();
    }

    /** Of 2^64 values, so that among a million texts two alike by chance are not to be expected. */
    static long hash(String text) {
        return ByteBuffer.wrap(Sha256.of(text)).getLong();
    }
}
