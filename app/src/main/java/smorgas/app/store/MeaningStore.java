package smorgas.app.store;

import static smorgas.schema.Tables.MEANING;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What the texts of projects mean, as it was found out once: packed vectors by text. They go when their project is deleted. */
@Repository
public class MeaningStore {

    private static final int CHUNK = 1_000;

    private final DSLContext db;

    MeaningStore(DSLContext db) {
        this.db = db;
    }

    /** The vectors of a project's texts. */
    public Map<String, byte[]> of(long project) {
        return db.select(MEANING.TEXT, MEANING.VECTOR)
                .from(MEANING)
                .where(MEANING.PROJECT_ID.eq(project))
                .fetchMap(MEANING.TEXT, MEANING.VECTOR);
    }

    /** The vectors of those of the texts that are known, of whatever project. */
    public Map<String, byte[]> find(Collection<String> texts) {
        Map<String, byte[]> found = new HashMap<>();
        List<String> all = new ArrayList<>(texts);
        for (int from = 0; from < all.size(); from += CHUNK) {
            db.select(MEANING.TEXT, MEANING.VECTOR)
                    .from(MEANING)
                    .where(MEANING.TEXT.in(all.subList(from, Math.min(all.size(), from + CHUNK))))
                    .forEach(row -> found.put(row.value1(), row.value2()));
        }
        return found;
    }

    /** Keeps vectors of a project's texts; one that is known stays as it is. */
    @Transactional
    public void keep(long project, Map<String, byte[]> vectors) {
        if (!vectors.isEmpty()) {
            db.batch(
                            "merge into meaning using (select cast(? as bigint) project_id, cast(? as varchar(400)) text,"
                                    + " cast(? as varbinary(512)) vector) new"
                                    + " on meaning.project_id = new.project_id and meaning.text = new.text"
                                    + " when not matched then insert (project_id, text, vector)"
                                    + " values (new.project_id, new.text, new.vector)",
                            vectors.entrySet().stream()
                                    .map(entry -> new Object[] {project, entry.getKey(), entry.getValue()})
                                    .toArray(Object[][]::new))
                    .execute();
        }
    }
}
