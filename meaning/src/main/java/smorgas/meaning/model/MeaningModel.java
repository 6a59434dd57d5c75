package smorgas.meaning.model;

import ai.djl.huggingface.tokenizers.Encoding;
import ai.djl.huggingface.tokenizers.HuggingFaceTokenizer;
import ai.onnxruntime.OnnxTensor;
import ai.onnxruntime.OrtEnvironment;
import ai.onnxruntime.OrtException;
import ai.onnxruntime.OrtSession;
import java.io.IOException;
import java.io.InputStream;
import java.nio.LongBuffer;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A small English sentence-embedding model (BGE small v1.5 of Xiao and others, 2023, quantised). Texts that mean the same get
 * vectors whose product is near 1. Loading takes about a second and some 100 MB outside the heap; for one thread at a time.
 */
public final class MeaningModel implements AutoCloseable {

    /** Length of every vector. */
    public static final int LENGTH = 384;

    /** Texts in one run of the model; a run of more is no faster. */
    private static final int BATCH = 32;

    /** Pieces of words that are looked at; keywords are shorter. */
    private static final int MOST_TOKENS = 64;

    /** Told when the model is missing or broken, or this machine cannot run it. */
    public static final class Unavailable extends Exception {
        private static final long serialVersionUID = 1;

        Unavailable(Throwable cause) {
            super(String.valueOf(cause.getMessage()), cause);
        }
    }

    private final OrtEnvironment environment;
    private final OrtSession session;
    private final HuggingFaceTokenizer tokenizer;

    private MeaningModel(byte[] model, InputStream vocabulary) throws OrtException, IOException {
        this.environment = OrtEnvironment.getEnvironment();
        OrtSession.SessionOptions options = new OrtSession.SessionOptions();
        options.setIntraOpNumThreads(Runtime.getRuntime().availableProcessors());
        this.session = environment.createSession(model, options);
        // Without a look at the network, which the tokenizer would otherwise be free to take.
        this.tokenizer = HuggingFaceTokenizer.newInstance(
                vocabulary, Map.of("padding", "false", "truncation", "true", "maxLength", String.valueOf(MOST_TOKENS)));
    }

    /** Whether the model knows a language (ISO 639-1). */
    public static boolean knows(String language) {
        return language.equals("en");
    }

    /** Loads the model. */
    public static MeaningModel load() throws Unavailable {
        return load("/bge-small-en-v1.5-q.onnx", "/bge-small-en-v1.5-q-tokenizer.json");
    }

    static MeaningModel load(String model, String vocabulary) throws Unavailable {
        // The tokenizer's library neither asks the network for anything nor tells it anything.
        System.setProperty("ai.djl.offline", "true");
        System.setProperty("OPT_OUT_TRACKING", "true");
        try (InputStream weights = MeaningModel.class.getResourceAsStream(model);
                InputStream words = MeaningModel.class.getResourceAsStream(vocabulary)) {
            return new MeaningModel(
                    Objects.requireNonNull(weights, "it is not in the application")
                            .readAllBytes(),
                    Objects.requireNonNull(words, "its words are not in the application"));
        } catch (OrtException | IOException | RuntimeException | LinkageError e) {
            throw new Unavailable(e);
        }
    }

    /**
     * The vectors of some texts, each of length 1, in their order.
     *
     * @throws Unavailable if the model breaks down
     */
    public float[][] vectors(List<String> texts) throws Unavailable {
        Encoding[] encoded = texts.stream().map(tokenizer::encode).toArray(Encoding[]::new);
        Integer[] order = new Integer[encoded.length];
        Arrays.setAll(order, i -> i);
        // Texts of like length run together, so that little is filled up.
        Arrays.sort(order, (a, b) -> Integer.compare(encoded[a].getIds().length, encoded[b].getIds().length));
        float[][] vectors = new float[encoded.length][];
        try {
            for (int from = 0; from < order.length; from += BATCH) {
                run(encoded, Arrays.copyOfRange(order, from, Math.min(order.length, from + BATCH)), vectors);
            }
        } catch (OrtException e) {
            throw new Unavailable(e);
        }
        return vectors;
    }

    private void run(Encoding[] encoded, Integer[] batch, float[][] vectors) throws OrtException {
        int longest = encoded[batch[batch.length - 1]].getIds().length;
        long[] ids = new long[batch.length * longest];
        long[] mask = new long[ids.length];
        for (int i = 0; i < batch.length; i++) {
            long[] of = encoded[batch[i]].getIds();
            System.arraycopy(of, 0, ids, i * longest, of.length);
            Arrays.fill(mask, i * longest, i * longest + of.length, 1);
        }
        long[] shape = {batch.length, longest};
        try (OnnxTensor words = OnnxTensor.createTensor(environment, LongBuffer.wrap(ids), shape);
                OnnxTensor used = OnnxTensor.createTensor(environment, LongBuffer.wrap(mask), shape);
                OnnxTensor types = OnnxTensor.createTensor(environment, LongBuffer.wrap(new long[ids.length]), shape)) {
            Map<String, OnnxTensor> inputs = new HashMap<>();
            inputs.put("input_ids", words);
            inputs.put("attention_mask", used);
            inputs.put("token_type_ids", types);
            try (OrtSession.Result result = session.run(inputs)) {
                float[][][] states = (float[][][]) result.get(0).getValue();
                for (int i = 0; i < batch.length; i++) {
                    // The first state stands for the whole text in this model.
                    vectors[batch[i]] = ofLengthOne(states[i][0]);
                }
            }
        }
    }

    private static float[] ofLengthOne(float[] vector) {
        double length = 0;
        for (float value : vector) {
            length += value * value;
        }
        float by = (float) (1 / Math.sqrt(Math.max(1e-12, length)));
        for (int i = 0; i < vector.length; i++) {
            vector[i] *= by;
        }
        return vector;
    }

    @Override
    public void close() {
        tokenizer.close();
        try {
            session.close();
        } catch (OrtException e) {
            throw new IllegalStateException("The language model could not be let go", e);
        }
    }
}
