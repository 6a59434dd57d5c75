package smorgas.core.group.read;

import it.unimi.dsi.fastutil.longs.Long2IntMap;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.group.Grouping;
import smorgas.core.recipe.GroupDecision.GroupsAsTheyAre;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.text.Tidy;

/**
 * Groups to be adopted: those that stand, those found anew for all keywords or for some groups, or those that stand with what came
 * since. A group that lives on keeps what it is known by, and with it its name and whatever else a hand has decided of it.
 */
public final class Regrouping {

    private Regrouping() {}

    /** The groups as they stand. */
    public static GroupsAsTheyAre asTheyAre(Groups groups) {
        return adopted(groups, keyword -> Optional.ofNullable(key(groups, keyword)));
    }

    private static @Nullable String key(Groups groups, int keyword) {
        int group = groups.grouping().groupOf(keyword);
        return group < 0 || groups.grouping().kind(group) == Grouping.Kind.UNGROUPED
                ? null
                : groups.grouping().key(group);
    }

    /** The groups as they stand, each keyword that came since in the one to which it is nearest, if it is near enough. */
    public static GroupsAsTheyAre joining(Groups groups, double from) {
        var since = groups.grouping().since();
        return adopted(groups, keyword -> {
            if (!since.get(keyword)) {
                return Optional.ofNullable(key(groups, keyword));
            }
            Explained.Why why = groups.explained().why(keyword);
            return why.next().filter(group -> why.nextTightness() >= from).map(groups.grouping()::key);
        });
    }

    /** All keywords as they were found anew. */
    public static GroupsAsTheyAre all(Groups before, Groups found) {
        Map<Integer, String> keys = living(before, found);
        return adopted(
                found, keyword -> Optional.ofNullable(keys.get(found.grouping().groupOf(keyword))));
    }

    /**
     * Some groups divided as the keywords were found anew, all others as they stand. The largest part of a group stays it; a part
     * that would be too small stays with it.
     *
     * @param chosen which of the groups before
     */
    public static GroupsAsTheyAre some(Groups before, Groups found, IntPredicate chosen, int smallest) {
        Map<Integer, String> into = new HashMap<>();
        Set<String> taken = new HashSet<>();
        IntStream.range(0, before.grouping().size())
                .forEach(group -> taken.add(before.grouping().key(group)));
        for (int group = 0; group < before.grouping().size(); group++) {
            if (!chosen.test(group)) {
                continue;
            }
            Map<Integer, List<Integer>> parts = new LinkedHashMap<>();
            for (int keyword : before.grouping().members().row(group)) {
                parts.computeIfAbsent(found.grouping().groupOf(keyword), part -> new ArrayList<>())
                        .add(keyword);
            }
            int stays = parts.entrySet().stream()
                    .max(Comparator.<Map.Entry<Integer, List<Integer>>>comparingInt(
                                    part -> part.getValue().size())
                            .thenComparing(part -> -part.getKey()))
                    .orElseThrow()
                    .getKey();
            parts.forEach((of, keywords) -> {
                if (of != stays && of >= 0 && keywords.size() >= Math.max(1, smallest)) {
                    String key = free(found, of, keywords, taken);
                    keywords.forEach(keyword -> into.put(keyword, key));
                }
            });
        }
        return adopted(before, keyword -> Optional.ofNullable(into.getOrDefault(keyword, key(before, keyword))));
    }

    /** What each group found anew is known by: as the group of which it has most keywords, if it lives on in it. */
    private static Map<Integer, String> living(Groups before, Groups found) {
        Long2IntOpenHashMap shared = new Long2IntOpenHashMap();
        for (int keyword = 0; keyword < before.grouping().keywords(); keyword++) {
            int from = before.grouping().groupOf(keyword);
            int to = found.grouping().groupOf(keyword);
            if (from >= 0 && to >= 0) {
                shared.addTo((long) from << 32 | to, 1);
            }
        }
        List<Long2IntMap.Entry> most = new ArrayList<>(shared.long2IntEntrySet());
        most.sort(Comparator.<Long2IntMap.Entry>comparingInt(pair -> -pair.getIntValue())
                .thenComparingLong(Long2IntMap.Entry::getLongKey));
        Map<Integer, String> keys = new HashMap<>();
        Set<String> taken = new HashSet<>();
        for (Long2IntMap.Entry pair : most) {
            int from = (int) (pair.getLongKey() >> 32);
            int to = (int) pair.getLongKey();
            String key = before.grouping().key(from);
            boolean lives = 2 * pair.getIntValue() >= Math.min(before.keywords(from), found.keywords(to));
            if (lives && !keys.containsKey(to) && taken.add(key)) {
                keys.put(to, key);
            }
        }
        for (int group : found.order()) {
            if (!keys.containsKey(group) && found.grouping().kind(group) != Grouping.Kind.UNGROUPED) {
                List<Integer> members = Arrays.stream(found.grouping().members().row(group))
                        .boxed()
                        .toList();
                keys.put(group, free(found, group, members, taken));
            }
        }
        return keys;
    }

    /** The group's own key, else a keyword of it, else its key with a number: what no other has. */
    private static String free(Groups found, int group, List<Integer> keywords, Set<String> taken) {
        String own = found.grouping().key(group);
        if (taken.add(own)) {
            return own;
        }
        for (int keyword : keywords) {
            String text = Tidy.of(found.all().text(keyword));
            if (GroupRule.fits(text) && taken.add(text)) {
                return text;
            }
        }
        int number = 2;
        while (!taken.add(own + " " + number)) {
            number++;
        }
        return own + " " + number;
    }

    /** Says of each keyword that is grouped which group it is in. */
    @FunctionalInterface
    private interface Placed {
        Optional<String> group(int keyword);
    }

    private static GroupsAsTheyAre adopted(Groups groups, Placed placed) {
        Map<String, List<String>> texts = new LinkedHashMap<>();
        List<String> left = new ArrayList<>();
        for (int keyword = 0; keyword < groups.grouping().keywords(); keyword++) {
            if (groups.grouping().groupOf(keyword) == Grouping.OUTSIDE) {
                continue;
            }
            String text = Tidy.of(groups.all().text(keyword));
            placed.group(keyword)
                    .ifPresentOrElse(
                            key -> texts.computeIfAbsent(key, fresh -> new ArrayList<>())
                                    .add(text),
                            () -> left.add(text));
        }
        return new GroupsAsTheyAre(
                texts.entrySet().stream()
                        .map(group -> new GroupsAsTheyAre.Adopted(group.getKey(), group.getValue()))
                        .toList(),
                left);
    }
}
