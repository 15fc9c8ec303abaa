package yokebar.core.adif;

import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * Turns the bytes of a field name into its upper-case {@code String}, giving the same object for the same name, so that a
 * file of a million records does not make fifteen million names. Holds a bounded number of names; not thread-safe.
 */
final class FieldNames {
    private static final int SLOTS = 1 << 11;
    private static final int MOST_KEPT = SLOTS / 2;

    private final String[] names = new String[SLOTS];
    private int kept;

    /**
     * @param hash a hash over the name with letters folded to upper case, see {@link AdiScanner}
     */
    String intern(byte[] buffer, int start, int length, int hash) {
        int slot = (hash ^ hash >>> 15) & SLOTS - 1;
        while (true) {
            String candidate = names[slot];
            if (candidate == null) {
                // String.intern makes the result identical to the constants the rules compare with.
                String name = new String(buffer, start, length, StandardCharsets.ISO_8859_1)
                        .toUpperCase(Locale.ROOT)
                        .intern();
                if (kept < MOST_KEPT) {
                    names[slot] = name;
                    kept++;
                }
                return name;
            }
            if (matches(candidate, buffer, start, length)) {
                return candidate;
            }
            slot = slot + 1 & SLOTS - 1;
        }
    }

    private static boolean matches(String name, byte[] buffer, int start, int length) {
        if (name.length() != length) {
            return false;
        }
        for (int i = 0; i < length; i++) {
            int b = buffer[start + i];
            if (b >= 'a' && b <= 'z') {
                b -= 32;
            }
            if (name.charAt(i) != b) {
                return false;
            }
        }
        return true;
    }
}
