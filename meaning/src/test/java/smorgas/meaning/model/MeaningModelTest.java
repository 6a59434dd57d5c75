package smorgas.meaning.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class MeaningModelTest {

    private static double like(float[] one, float[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }

    @Test
    void whatMeansTheSameIsNearerThanWhatSharesWords() throws Exception {
        try (MeaningModel model = MeaningModel.load()) {
            float[][] of = model.vectors(List.of(
                    "cheap running shoes",
                    "inexpensive running shoes",
                    "leather running shoes",
                    "kids bike helmet",
                    "children's cycling helmet",
                    "kids bike bell"));
            assertThat(of).hasDimensions(6, MeaningModel.LENGTH);
            assertThat(like(of[0], of[0])).isCloseTo(1, Offset.offset(1e-4));
            assertThat(like(of[0], of[1])).isGreaterThan(like(of[0], of[2]));
            assertThat(like(of[3], of[4])).isGreaterThan(like(of[3], of[5]));
        }
    }

    @Test
    void aTextHasNearlyTheSameVectorWhateverItRunsWithAndHoweverItIsStored() throws Exception {
        try (MeaningModel model = MeaningModel.load()) {
            float[] alone = model.vectors(List.of("hive tool"))[0];
            float[] among = model.vectors(
                            List.of("hive tool", "a much longer text about the keeping of bees in winter", ""))[0];
            // Quantised models round by what else is in the run.
            assertThat(like(alone, among)).isGreaterThan(.98);
            assertThat(like(alone, PackedVector.unpack(PackedVector.pack(alone))))
                    .isGreaterThan(.999);
        }
    }

    @Test
    void aMissingModelIsToldInASentence() {
        assertThatExceptionOfType(MeaningModel.Unavailable.class)
                .isThrownBy(() -> MeaningModel.load("/none.onnx", "/none.json"))
                .withMessageContaining("not in the application");
        assertThat(MeaningModel.knows("de")).isFalse();
    }
}
