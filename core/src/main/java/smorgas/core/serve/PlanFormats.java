package smorgas.core.serve;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The ways in which a plan leaves. */
public final class PlanFormats {

    /** Every format, that for ad platforms first; pages, downloads and the batch command offer and write them. */
    public static final List<PlanFormat> ALL = Stream.of(
                    List.of(
                            PlanTable.CSV,
                            PlanTable.TSV,
                            PlanTable.EVERYTHING,
                            PlanTable.SIGNS,
                            new PlanWorkbook(),
                            new PlanJson(),
                            new PlanOutline()),
                    ForPeople.ALL,
                    PlanTable.EACH)
            .flatMap(List::stream)
            .toList();

    private PlanFormats() {}

    /** The format of a file. */
    public static Optional<PlanFormat> find(String file) {
        return ALL.stream().filter(format -> format.file().equals(file)).findFirst();
    }
}
