package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.serve.PlanRecord.Kind;
import smorgas.core.serve.PlanRecord.Row;
import smorgas.core.text.Refusal;

/** Only what changed: applied to an account that has the one plan, it gives one that has the other. */
class PlanChangesTest {

    private static Row group(String name, String bid) {
        return new Row(Kind.AD_GROUP, "C", name, "", "", bid, "", "");
    }

    private static Row keyword(String group, String text, String bid) {
        return new Row(Kind.KEYWORD, "C", group, text, "Exact", bid, "", "");
    }

    private static Row negative(String group, String text) {
        return new Row(Kind.NEGATIVE, "C", group, text, "Negative exact", "", "", "");
    }

    /** A small bulk editor: what a table says it does, row by row, and nothing else. */
    private static final class Account {
        private final Map<String, String> rows = new LinkedHashMap<>();
        private final Set<String> pausedGroups = new TreeSet<>();

        void take(String csv) {
            try (CsvReader<NamedCsvRecord> in = CsvReader.builder().ofNamedCsvRecord(csv)) {
                in.forEach(this::take);
            } catch (java.io.IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        }

        private void take(NamedCsvRecord row) {
            String group = row.getField("Campaign") + "/" + row.getField("Ad group");
            String key = group + "/" + row.getField("Keyword") + "/" + row.getField("Match type");
            boolean goes = Set.of("Paused", "Removed").contains(row.getField("Status"));
            if (row.getField("Keyword").isEmpty()) {
                if (goes) {
                    pausedGroups.add(group);
                } else {
                    pausedGroups.remove(group);
                }
            } else if (goes) {
                rows.remove(key);
            } else {
                rows.put(key, row.getField("Max CPC"));
            }
        }

        /** What runs: rows that are not paused, in ad groups that are not. */
        Map<String, String> running() {
            return rows.entrySet().stream()
                    .filter(row -> pausedGroups.stream()
                            .noneMatch(group -> row.getKey().startsWith(group + "/")))
                    .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        }
    }

    private static String written(PlanRecord from, PlanRecord to) {
        StringWriter text = new StringWriter();
        PlanChanges.of(from, to).write(text);
        return text.toString();
    }

    private static PlanRecord drawn(Random random) {
        List<Row> rows = new ArrayList<>();
        for (String group : List.of("hives", "suits", "honey", "wax")) {
            if (random.nextInt(4) > 0) {
                rows.add(group(group, random.nextBoolean() ? "" : "0.50"));
                for (String text : List.of("a", "b", "c, d", "\"e\"")) {
                    if (random.nextBoolean()) {
                        rows.add(keyword(group, text, random.nextBoolean() ? "0.20" : "0.30"));
                    }
                    if (random.nextInt(3) == 0) {
                        rows.add(negative(group, text));
                    }
                }
            }
        }
        if (random.nextBoolean()) {
            rows.add(negative("", "free"));
        }
        return new PlanRecord(rows);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void appliedToTheOldAccountTheChangesGiveTheNewOneAndTheWayBackTheOldOne(long seed) {
        Random random = new Random(seed);
        PlanRecord none = new PlanRecord(List.of());
        for (int draw = 0; draw < 200; draw++) {
            PlanRecord old = drawn(random);
            PlanRecord now = drawn(random);
            Account wanted = new Account();
            wanted.take(written(none, now));
            Account before = new Account();
            before.take(written(none, old));
            Map<String, String> was = before.running();
            Account account = new Account();
            account.take(written(none, old));
            account.take(written(old, now));
            assertThat(account.running()).isEqualTo(wanted.running());
            account.take(written(now, old));
            assertThat(account.running()).isEqualTo(was);
        }
    }

    @Test
    void whatChangedIsToldByWhatIsDone() {
        PlanRecord old = new PlanRecord(List.of(
                group("hives", ""),
                keyword("hives", "bee hive", "0.20"),
                negative("", "free"),
                group("wax", ""),
                keyword("wax", "wax", "")));
        PlanRecord now = new PlanRecord(
                List.of(group("hives", ""), keyword("hives", "bee hive", "0.30"), keyword("hives", "hive", "")));
        PlanChanges changes = PlanChanges.of(old, now);
        assertThat(changes.of(PlanChanges.Do.ADD))
                .extracting(PlanChanges.Change::row)
                .containsExactly(keyword("hives", "hive", ""));
        assertThat(changes.of(PlanChanges.Do.CHANGE))
                .extracting(change -> change.was().bid())
                .containsExactly("0.20");
        assertThat(changes.of(PlanChanges.Do.PAUSE))
                .as("what is in an ad group that pauses need not be paused by itself")
                .extracting(PlanChanges.Change::row)
                .containsExactly(group("wax", ""));
        assertThat(changes.of(PlanChanges.Do.TAKE_AWAY)).hasSize(1);
        assertThat(PlanChanges.of(old, old).nothing()).isTrue();
    }

    /** A list from elsewhere may name its campaigns as a formula. */
    @Test
    void whatASpreadsheetWouldRunLeavesInNoTable() {
        PlanRecord old = new PlanRecord(List.of(
                new Row(Kind.KEYWORD, "=cmd()", "g", "a", "Exact", "", "", ""),
                new Row(Kind.KEYWORD, "C", "g", "b", "Exact", "", "@page", ""),
                keyword("hives", "c", "")));
        String table = written(old, new PlanRecord(List.of()));
        assertThat(table).doesNotContain("cmd", "@page").contains("hives,c,Exact,Paused");
    }

    @Test
    void whatIsKeptIsReadBackAsItWas() {
        PlanRecord plan = drawn(new Random(9));
        assertThat(PlanRecord.read(plan.packed())).isEqualTo(plan);
        assertThatThrownBy(() -> PlanRecord.read(new byte[] {1, 2, 3})).isInstanceOf(Refusal.class);
    }
}
