package smorgas.app.web.gather;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import org.springframework.web.multipart.MultipartFile;
import smorgas.app.web.show.Show;
import smorgas.app.work.Memory;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.ReadingTask;
import smorgas.app.work.ReadingTasks;
import smorgas.core.gather.Packed;
import smorgas.core.gather.Problem;
import smorgas.core.gather.Workbooks;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** Lists that come in by an upload or a paste: unpacked, parted into their sheets, and read in the background. */
@Component
public class ListsIn {

    /** So long an answer waits for lists that are read quickly, before it shows them under way. */
    static final long PATIENCE_MILLIS = 1_500;

    /**
     * What came in.
     *
     * @param lists each list, in order
     * @param problems what could not be unpacked, a sentence each
     */
    public record Came(List<Offered> lists, List<Message> problems) {}

    /** Bytes while a list is taken out of a packed file: those that were there, those that come, and a copy of them. */
    private static final int TIMES_UNPACKED = 3;

    /** Packed bytes unpack to a thousand times as many at most, as DEFLATE does (RFC 1951: 258 of them by two bits or so). */
    private static final long MOST_TIMES = 1_032;

    /** So long an upload waits for memory. */
    private static final long MEMORY_PATIENCE_MILLIS = 30_000;

    private final ReadingTasks gatherings;
    private final Memory memory;
    private final Wording wording;
    private final long mostUnpacked;

    ListsIn(
            ReadingTasks gatherings,
            Memory memory,
            Wording wording,
            @Value("${smorgas.most-unpacked}") DataSize mostUnpacked) {
        this.wording = wording;
        this.gatherings = gatherings;
        this.memory = memory;
        this.mostUnpacked = memory.mostUnpacked(mostUnpacked.toBytes());
    }

    /** The name of a file that a form sent, as a basket is called by it. */
    public String nameOf(MultipartFile file) {
        return Show.fileName(file.getOriginalFilename(), wording);
    }

    /**
     * Unpacks what a form sent.
     *
     * @param joined whether all sheets of a workbook are one list
     */
    @SuppressWarnings("try") // it is held, not named
    public Came open(@Nullable List<MultipartFile> files, String pasted, String name, boolean joined)
            throws IOException {
        List<Offered> lists = new ArrayList<>();
        List<Message> problems = new ArrayList<>();
        for (MultipartFile file : files == null ? List.<MultipartFile>of() : files) {
            if (file.getOriginalFilename() != null
                    && !file.getOriginalFilename().isEmpty()) {
                String called = nameOf(file);
                try (Memory.Claim itself =
                        memory.claim(Message.verbatim(called), file.getSize(), MEMORY_PATIENCE_MILLIS)) {
                    byte[] bytes = file.getBytes();
                    // How much is in a packed file is known when it is open: what it may hold is claimed for that long.
                    long most = Packed.unpacks(bytes) ? Math.min(mostUnpacked, MOST_TIMES * bytes.length) : 0;
                    try (Memory.Claim claim =
                            memory.claim(Message.verbatim(called), TIMES_UNPACKED * most, MEMORY_PATIENCE_MILLIS)) {
                        open(called, bytes, joined, lists, problems);
                    }
                }
            }
        }
        if (!pasted.isBlank()) {
            lists.add(Offered.paste(
                    Show.fileName(name.isBlank() ? wording.of("basket-name.pasted-list") : name, wording), pasted));
        }
        return new Came(lists, problems);
    }

    private void open(String name, byte[] bytes, boolean joined, List<Offered> lists, List<Message> problems) {
        Packed.Contents contents = Packed.open(name, bytes, mostUnpacked);
        contents.problems().stream().map(ListsIn::told).forEach(problems::add);
        for (Packed.NamedBytes list : contents.lists()) {
            Workbooks.Parts parts = Workbooks.of(list, joined);
            parts.problems().stream().map(ListsIn::told).forEach(problems::add);
            parts.lists()
                    .forEach(part ->
                            lists.add(Offered.part(Show.fileName(part.list().name(), wording), part)));
        }
    }

    /** Gathers lists into a project, and waits a moment for those that are read quickly. */
    public void gather(OpenProject project, List<Offered> lists) {
        List<ReadingTask> jobs =
                lists.stream().map(list -> gatherings.submit(project, list)).toList();
        ReadingTasks.await(jobs, PATIENCE_MILLIS);
    }

    private static Message told(Problem problem) {
        return Message.of("work.open-project.of-list", problem.file(), problem.sentence());
    }
}
