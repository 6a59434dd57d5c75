package smorgas.app.fetch;

import java.net.Inet4Address;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.ByteBuffer;
import java.util.Arrays;

/** Which addresses belong to the public network (the special-purpose registries of RFC 6890 list those that do not). */
final class PublicAddresses {

    /** Those of IPv4 that are reserved besides what the platform tells, as first address and length of the prefix. */
    private static final int[][] RESERVED = {
        {0x00000000, 8},
        {0x64400000, 10},
        {0xC0000000, 24},
        {0xC0000200, 24},
        {0xC6120000, 15},
        {0xC6336400, 24},
        {0xCB007100, 24},
        {0xF0000000, 4}
    };

    private PublicAddresses() {}

    static boolean isPublic(InetAddress address) {
        if (address.isLoopbackAddress()
                || address.isAnyLocalAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isMulticastAddress()) {
            return false;
        }
        return switch (address) {
            case Inet4Address four -> isPublic(four.getAddress());
            case Inet6Address six -> isPublicSix(six.getAddress());
            default -> false;
        };
    }

    private static boolean isPublic(byte[] four) {
        int address = ByteBuffer.wrap(four).getInt();
        return Arrays.stream(RESERVED).noneMatch(range -> (address ^ range[0]) >>> 32 - range[1] == 0);
    }

    /** Unique local ones are none, and those that carry one of IPv4 are what that is. */
    private static boolean isPublicSix(byte[] six) {
        if ((six[0] & 0xfe) == 0xfc || (six[0] & 0xe0) != 0x20 && !embedsAtTheEnd(six)) {
            return false;
        }
        if (six[0] == 0x20 && six[1] == 0x02) {
            return carries(six, 2);
        }
        if (embedsAtTheEnd(six)) {
            return carries(six, 12);
        }
        // Documentation, and tunnels that carry an address in other writing.
        return !(six[0] == 0x20
                && six[1] == 0x01
                && (six[2] == 0x0d && (six[3] & 0xff) == 0xb8 || six[2] == 0 && six[3] == 0));
    }

    /** IPv4 mapped into IPv6, and translated by 64:ff9b::/96. */
    private static boolean embedsAtTheEnd(byte[] six) {
        boolean mapped = six[10] == (byte) 0xff && six[11] == (byte) 0xff && zeros(six, 0, 10);
        boolean translated =
                six[0] == 0 && six[1] == 0x64 && six[2] == (byte) 0xff && six[3] == (byte) 0x9b && zeros(six, 4, 12);
        return mapped || translated;
    }

    private static boolean zeros(byte[] six, int from, int to) {
        for (int at = from; at < to; at++) {
            if (six[at] != 0) {
                return false;
            }
        }
        return true;
    }

    private static boolean carries(byte[] six, int from) {
        try {
            return isPublic(InetAddress.getByAddress(Arrays.copyOfRange(six, from, from + 4)));
        } catch (UnknownHostException e) {
            throw new IllegalStateException("four bytes are an address", e);
        }
    }
}
