package smorgas.bench;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import smorgas.core.board.Board;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.engine.MemoryLimit;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.text.Tidy;
import smorgas.meaning.model.MeaningModel;
import smorgas.meaning.model.PackedVector;

/** Boards of expert lists, grouped as the application groups a list that is gathered. */
final class ExpertBoards {

    private ExpertBoards() {}

    /** The board of a list; null settings for the standard ones. */
    static Board board(ExpertList list, @Nullable GroupSettings settings, MeaningVectors meaning) {
        List<Entry> entries = settings == null ? List.of() : List.of(new GroupEntry.GroupSettingsChosen(settings));
        return Board.of(lines(list), Recipe.of(entries, list.language()), meaning, MemoryLimit.ENOUGH);
    }

    /** The same by words alone. */
    static Board board(ExpertList list) {
        GroupSettings settings = Rules.NEWEST.settings().grouping(list.language());
        return Board.of(lines(list), Recipe.of(List.of(new GroupEntry.GroupSettingsChosen(settings)), list.language()));
    }

    /** The list as it is gathered. */
    static List<Lines> lines(ExpertList list) {
        byte[] bytes = String.join("\n", list.keywords()).getBytes(StandardCharsets.UTF_8);
        return List.of(BasketReader.lines(1, list.name(), bytes).lines().orElseThrow());
    }

    /** What the keywords of a list mean; nothing in a language that the model does not know. */
    static MeaningVectors meaning(ExpertList list) throws MeaningModel.Unavailable {
        if (!MeaningModel.knows(list.language())) {
            return MeaningVectors.NONE;
        }
        Map<String, float[]> known = new HashMap<>();
        try (MeaningModel model = MeaningModel.load()) {
            List<String> texts =
                    list.keywords().stream().map(Tidy::of).distinct().toList();
            float[][] vectors = model.vectors(texts);
            for (int i = 0; i < vectors.length; i++) {
                known.put(texts.get(i), PackedVector.unpack(PackedVector.pack(vectors[i])));
            }
        }
        return known::get;
    }

    /** The group of each keyword of the list; an ungrouped keyword stands alone. */
    static int[] labels(ExpertList list, Board board) {
        Keywords keywords = board.keywords();
        Grouping grouping = board.groups().grouping();
        int[] labels = new int[list.keywords().size()];
        for (int i = 0; i < labels.length; i++) {
            int keyword = keywords.meant(Tidy.of(list.keywords().get(i))).orElse(-1);
            int group = keyword < 0 ? Grouping.UNGROUPED : grouping.groupOf(keyword);
            labels[i] = group >= 0 ? group : keyword >= 0 ? -2 - keyword : -2 - keywords.size() - i;
        }
        return labels;
    }
}
