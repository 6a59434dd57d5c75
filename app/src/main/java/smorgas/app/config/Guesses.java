package smorgas.app.config;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.function.LongSupplier;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Checks passwords. A right one is remembered, as a keyed sum that is worth nothing outside this process, so that it is not
 * hashed with every request. Who guesses must wait longer with each guess; who knows the password is not slowed by that,
 * for a remembered one is checked first.
 */
final class Guesses implements PasswordEncoder {

    /** Guesses that cost no time: people mistype. */
    static final int FREE = 5;

    /** After that the next one must wait twice as long as the one before, up to this. */
    static final Duration LONGEST = Duration.ofMinutes(5);

    private record Missed(int times, long last) {}

    private final PasswordEncoder encoder;
    private final LongSupplier nanos;
    private final byte[] key = new byte[32];
    private volatile byte @Nullable [] right;
    private final Cache<String, Missed> missed = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterWrite(Duration.ofHours(1))
            .build();

    Guesses(PasswordEncoder encoder, LongSupplier nanos) {
        this.encoder = encoder;
        this.nanos = nanos;
        new SecureRandom().nextBytes(key);
    }

    @Override
    public @Nullable String encode(@Nullable CharSequence password) {
        return encoder.encode(password);
    }

    @Override
    public boolean matches(@Nullable CharSequence password, @Nullable String hash) {
        if (password == null || hash == null) {
            return false;
        }
        String typed = password + "\n" + hash;
        if (isRight(typed)) {
            return true;
        }
        // One hash at a time: many guesses together must not take the machine from those who work.
        synchronized (this) {
            boolean matches = encoder.matches(password, hash);
            if (matches) {
                right = sum(typed);
            }
            return matches;
        }
    }

    private boolean isRight(String typed) {
        byte[] remembered = right;
        return remembered != null && MessageDigest.isEqual(remembered, sum(typed));
    }

    /** Whether a password is one that was right before. */
    boolean remembers(String password, String hash) {
        return isRight(password + "\n" + hash);
    }

    /** Seconds that somebody at this address must wait before the next guess; 0 for none. */
    long waits(String address) {
        Missed so = missed.getIfPresent(address);
        if (so == null || so.times() < FREE) {
            return 0;
        }
        long wait = Math.min(LONGEST.toSeconds(), 1L << Math.min(20, so.times() - FREE));
        long passed = Duration.ofNanos(nanos.getAsLong() - so.last()).toSeconds();
        return Math.max(0, wait - passed);
    }

    void missed(String address) {
        missed.asMap()
                .merge(
                        address,
                        new Missed(1, nanos.getAsLong()),
                        (before, one) -> new Missed(before.times() + 1, one.last()));
    }

    private byte[] sum(String text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key, "HmacSHA256"));
            return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException | InvalidKeyException e) {
            throw new IllegalStateException("every JDK has HmacSHA256", e);
        }
    }
}
