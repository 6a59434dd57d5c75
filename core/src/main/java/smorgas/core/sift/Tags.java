package smorgas.core.sift;

import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** Which keywords have which tags; cannot change. */
public final class Tags {

    /** No tags at all. */
    public static final Tags NONE = new Tags(new TreeMap<>());

    private final SortedMap<String, BitSet> keywords;

    private Tags(SortedMap<String, BitSet> keywords) {
        this.keywords = Collections.unmodifiableSortedMap(keywords);
    }

    /** The tags as they are in the map now. */
    static Tags of(Map<String, BitSet> given) {
        SortedMap<String, BitSet> copy = new TreeMap<>();
        given.forEach((tag, keywords) -> copy.put(tag, (BitSet) keywords.clone()));
        return new Tags(copy);
    }

    /** The keywords that have a tag. */
    public BitSet with(String tag) {
        BitSet found = keywords.get(tag);
        return found == null ? new BitSet() : (BitSet) found.clone();
    }

    /** How many keywords have a tag. */
    public int count(String tag) {
        BitSet found = keywords.get(tag);
        return found == null ? 0 : found.cardinality();
    }

    /** The tags that keywords have, in the order of their names. */
    public List<String> all() {
        return keywords.entrySet().stream()
                .filter(entry -> !entry.getValue().isEmpty())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The tags of a keyword, in the order of their names. */
    public List<String> of(int keyword) {
        return keywords.entrySet().stream()
                .filter(entry -> entry.getValue().get(keyword))
                .map(Map.Entry::getKey)
                .toList();
    }
}
