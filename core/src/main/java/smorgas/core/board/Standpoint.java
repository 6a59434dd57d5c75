package smorgas.core.board;

import java.time.YearMonth;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Figure;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/** The keywords of a project as they stand at one time, as far as {@link Difference} compares them; numbered from 0. */
public interface Standpoint {

    int size();

    /** The lead spelling, tidy. */
    String text(int keyword);

    /** The keyword that has this tidy text among its spellings. */
    Optional<Integer> find(String tidy);

    /** The keyword that this tidy text would be folded into if a list had it. */
    Optional<Integer> meant(String tidy);

    /** The tidy texts of its spellings, as far as they are known. */
    List<String> spellings(int keyword);

    Status status(int keyword);

    /** Why it stands so, in words; empty if nothing is told. */
    Message reason(int keyword);

    /** Twice its searches a month, ranges by their middle; {@link FigureColumn#UNKNOWN} if they are not known. */
    long twiceSearches(int keyword);

    /** Whether its searches are made up. */
    default boolean simulated(int keyword) {
        return false;
    }

    /** What is searched of it month by month, as far as lists tell; none if nothing is told. */
    default SortedMap<YearMonth, Integer> months(int keyword) {
        return Collections.emptySortedMap();
    }

    /** What tells its group from others whatever it is called; empty if it is in none. */
    String groupKey(int keyword);

    /** What its group is called; empty if it is in none. */
    String group(int keyword);

    /** That of a board; its groups are worked out when they are first asked for. */
    static Standpoint of(Board board) {
        return new OfBoard(board, board.keywords().numbers(Figure.SEARCHES));
    }

    /** What a board tells now. */
    record OfBoard(Board board, Numbers searches) implements Standpoint {
        @Override
        public int size() {
            return board.keywords().size();
        }

        @Override
        public String text(int keyword) {
            return board.keywords().text(keyword);
        }

        @Override
        public Optional<Integer> find(String tidy) {
            return board.keywords().find(tidy);
        }

        @Override
        public Optional<Integer> meant(String tidy) {
            return board.keywords().meant(tidy);
        }

        @Override
        public List<String> spellings(int keyword) {
            return board.keywords().tidyTexts(keyword);
        }

        @Override
        public Status status(int keyword) {
            return board.statuses().of(keyword);
        }

        @Override
        public Message reason(int keyword) {
            return board.statuses().reason(keyword).sentence();
        }

        @Override
        public long twiceSearches(int keyword) {
            return searches.twiceMiddle(keyword);
        }

        @Override
        public boolean simulated(int keyword) {
            return searches.simulated(keyword);
        }

        @Override
        public SortedMap<YearMonth, Integer> months(int keyword) {
            return board.keywords().months(keyword);
        }

        private int place(int keyword) {
            Grouping grouping = board.groups().grouping();
            return grouping.groupOf(keyword);
        }

        @Override
        public String groupKey(int keyword) {
            int place = place(keyword);
            return place < 0 ? "" : board.groups().grouping().key(place);
        }

        @Override
        public String group(int keyword) {
            Groups groups = board.groups();
            int place = place(keyword);
            return place < 0 ? "" : groups.name(place);
        }
    }
}
