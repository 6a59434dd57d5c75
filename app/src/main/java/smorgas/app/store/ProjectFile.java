package smorgas.app.store;

import static smorgas.schema.Tables.BASKET;
import static smorgas.schema.Tables.PROJECT;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Rules;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import tools.jackson.databind.JsonNode;

/**
 * A whole project as one file, a ZIP: {@code project.json} tells of it, of its baskets and of every act with its time and
 * whether it was taken back; {@code baskets/1} and so on are the bytes of the lists as they came. Word lists that it has taken
 * are in its acts. docs/project-file.md describes it.
 */
@Repository
public class ProjectFile {

    private final DSLContext db;
    private final Projects projects;
    private final Baskets baskets;
    private final Histories histories;
    private final ExportedPlans exported;
    private final Tally tally;

    ProjectFile(
            DSLContext db,
            Projects projects,
            Baskets baskets,
            Histories histories,
            ExportedPlans exported,
            Tally tally) {
        this.exported = exported;
        this.db = db;
        this.projects = projects;
        this.baskets = baskets;
        this.histories = histories;
        this.tally = tally;
    }

    /** Writes a project, as it stands at one moment; the stream stays open. */
    @Transactional(readOnly = true)
    public void write(long id, OutputStream to) throws IOException {
        Project project = projects.find(id).orElseThrow();
        Histories.Stored stored = histories.stored(id);
        List<Baskets.Basket> all = baskets.of(id);
        List<ExportedPlans.Exported> plans = exported.of(id).reversed();
        ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        zip.putNextEntry(new ZipEntry(ProjectZip.TOLD));
        zip.write(Json.pretty(told(project, stored, all, plans)).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        for (Baskets.Basket basket : all) {
            zip.putNextEntry(new ZipEntry("baskets/" + basket.id()));
            zip.write(baskets.bytes(id, basket.id()).orElseThrow());
            zip.closeEntry();
        }
        for (ExportedPlans.Exported plan : plans) {
            zip.putNextEntry(new ZipEntry("exported/" + plan.id()));
            zip.write(exported.plan(id, plan.id()).orElseThrow().packed());
            zip.closeEntry();
        }
        zip.finish();
        zip.flush();
    }

    private Map<String, Object> told(
            Project project, Histories.Stored stored, List<Baskets.Basket> all, List<ExportedPlans.Exported> plans) {
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("project", ProjectZip.FORMAT);
        told.put(Fingerprint.FIELD, Fingerprint.OURS);
        told.put("name", project.name());
        told.put("language", project.language());
        told.put("market", project.market());
        told.put("currency", project.currency());
        told.put("rules", project.rules());
        told.put("version", stored.version());
        told.put("baskets", all.stream().map(this::told).toList());
        List<Histories.Told> acted = histories.told(project.id());
        List<Map<String, Object>> acts = new ArrayList<>();
        List<History.Step> steps = stored.history().steps();
        for (int i = 0; i < steps.size(); i++) {
            Map<String, Object> act =
                    new LinkedHashMap<>(Json.exported(steps.get(i).entry()));
            act.put("state", steps.get(i).state().name());
            act.put("version", steps.get(i).version());
            act.put("at", acted.get(i).at().toString());
            act.put("by", acted.get(i).by().kind().name());
            act.put("doer", acted.get(i).by().name());
            act.put("effect", acted.get(i).effect());
            acts.add(act);
        }
        told.put("history", acts);
        told.put("exported", plans.stream().map(ProjectFile::told).toList());
        return told;
    }

    private static Map<String, Object> told(ExportedPlans.Exported plan) {
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("number", plan.id());
        told.put("name", plan.name());
        told.put("point", plan.point());
        told.put("removed", plan.removed());
        told.put("at", plan.at().toString());
        return told;
    }

    private Map<String, Object> told(Baskets.Basket basket) {
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("number", basket.id());
        told.put("name", basket.name());
        told.put("gathered", basket.gatheredAt().toString());
        told.put("bytes", basket.bytes());
        told.put("sha256", fingerprint(basket.id()));
        return told;
    }

    private String fingerprint(long basket) {
        return db.select(BASKET.FINGERPRINT)
                .from(BASKET)
                .where(BASKET.ID.eq(basket))
                .fetchSingle()
                .value1();
    }

    /**
     * Makes a project of a file, with its whole history, and returns its number; makes nothing if the file cannot be followed.
     *
     * @throws Refusal with a sentence without a full stop
     */
    @Transactional
    public long read(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            ProjectZip.check(zip);
            return read(zip);
        } catch (ZipException e) {
            throw new Refusal(Message.of("store.project-file.project-file-zip-part"), e);
        }
    }

    /**
     * What the largest list in a file says it unpacks to, in bytes; more than that is never read.
     *
     * @throws Refusal if it is no project file
     */
    public static long largestList(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            return ProjectZip.largest(zip);
        } catch (ZipException e) {
            throw new Refusal(Message.of("store.project-file.project-file-zip-part"), e);
        }
    }

    /**
     * What a project file holds, for whoever works without a database.
     *
     * @param rules that the project follows
     * @param entries those in force, in order
     * @param lists the bytes of its lists by the numbers that the entries have
     */
    public record Held(Rules rules, String language, List<Entry> entries, Map<Long, byte[]> lists) {}

    /**
     * Reads a file without making a project of it.
     *
     * @throws Refusal with a sentence without a full stop
     */
    public static Held held(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            ProjectZip.check(zip);
            JsonNode told = ProjectZip.told(zip);
            ProjectZip.requireKnown(told);
            Map<Long, byte[]> lists = new HashMap<>();
            Map<Long, Long> numbers = new HashMap<>();
            ProjectZip.eachList(zip, told, list -> {
                lists.put(list.number(), list.bytes());
                numbers.put(list.number(), list.number());
            });
            return new Held(
                    ProjectZip.rules(told),
                    ProjectZip.text(told, "language"),
                    new History(ProjectZip.acts(told, numbers)).effective(),
                    lists);
        } catch (ZipException e) {
            throw new Refusal(Message.of("store.project-file.project-file-zip-part"), e);
        }
    }

    private long read(ZipFile zip) throws IOException {
        JsonNode told = ProjectZip.told(zip);
        ProjectZip.requireKnown(told);
        String name = ProjectZip.text(told, "name");
        if (name.isBlank()) {
            throw new Refusal("store.project-file.project-file-name");
        }
        String language = ProjectZip.text(told, "language");
        if (!language.matches("[a-z]{2,8}")) {
            throw new Refusal("store.project-file.project-file-language");
        }
        long id = projects.create(name, language, ProjectZip.text(told, "market"), ProjectZip.text(told, "currency"));
        Map<Long, Long> numbers = baskets(zip, told, id);
        history(told, id, numbers);
        exported(zip, told, id, told.path("history").size());
        return id;
    }

    /** By the number that a basket had its new one. */
    private Map<Long, Long> baskets(ZipFile zip, JsonNode told, long id) throws IOException {
        Map<Long, Long> numbers = new HashMap<>();
        ProjectZip.eachList(zip, told, list -> numbers.put(list.number(), store(list, id)));
        return numbers;
    }

    private long store(ProjectZip.Listed list, long id) {
        long made = baskets.store(id, list.name(), list.bytes())
                .basket()
                .orElseThrow(
                        () -> new Refusal("store.project-file.list-file-cannot-read", ProjectZip.shown(list.name())));
        String sum = ProjectZip.text(list.told(), "sha256");
        if (!sum.isEmpty() && !sum.equals(fingerprint(made))) {
            throw new Refusal("store.project-file.list-what-when-file", ProjectZip.shown(list.name()));
        }
        db.update(BASKET)
                .set(BASKET.GATHERED_AT, ProjectZip.time(list.told(), "gathered"))
                .where(BASKET.ID.eq(made))
                .execute();
        return made;
    }

    private void exported(ZipFile zip, JsonNode told, long id, int acts) throws IOException {
        long all = 0;
        for (JsonNode one : told.path("exported")) {
            long number = one.path("number").asLong(-1);
            String name = ProjectZip.text(one, "name");
            ZipEntry entry = zip.getEntry("exported/" + number);
            long point = one.path("point").asLong(-1);
            if (entry == null || name.isBlank() || point < 0 || point > acts) {
                throw new Refusal("store.project-file.exported-plan-missing-file", ProjectZip.shown(name));
            }
            byte[] packed = ProjectZip.bytes(zip, entry);
            all += packed.length;
            if (all > ProjectZip.LARGEST_IN_ALL) {
                throw new Refusal("store.project-file.exported-plans-file-unpack");
            }
            exported.keep(
                    new ExportedPlans.Exported(
                            0, name, point, 0, one.path("removed").asBoolean(false), ProjectZip.time(one, "at")),
                    id,
                    plan(packed, name));
        }
    }

    private static PlanRecord plan(byte[] packed, String name) {
        try {
            return PlanRecord.read(packed);
        } catch (Refusal e) {
            throw e;
        } catch (RuntimeException e) {
            throw new Refusal(Message.of("store.project-file.exported-plan-file-damaged", ProjectZip.shown(name)), e);
        }
    }

    private void history(JsonNode told, long id, Map<Long, Long> numbers) {
        long version = ProjectZip.version(told);
        TallyMarks.OfProject mark = new TallyMarks.OfProject(id, version, 0, "");
        List<History.Step> steps = ProjectZip.acts(told, numbers);
        List<Histories.Told> acted = new ArrayList<>();
        for (JsonNode act : told.path("history")) {
            acted.add(new Histories.Told(
                    ProjectZip.time(act, "at"), ProjectZip.doer(act), ProjectZip.text(act, "effect")));
        }
        for (History.Step step : steps) {
            mark = mark.and(step.entry());
        }
        // It holds what a history must be.
        History history = new History(steps);
        for (int i = 0; i < history.steps().size(); i++) {
            Histories.insert(db, id, history.steps().get(i), acted.get(i));
        }
        db.update(PROJECT)
                .set(PROJECT.VERSION, version)
                .where(PROJECT.ID.eq(id))
                .execute();
        tally.tell(mark);
    }
}
