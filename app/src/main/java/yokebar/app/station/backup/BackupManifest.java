package yokebar.app.station.backup;

import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * What a backup says of itself, in {@code backup.json}.
 *
 * @param yokebarBackup the version of the format
 * @param schema the number of the newest migration the rows were stored with
 * @param holds what is in it, in words
 * @param lacks what is not in it and must be given again, in words
 * @param sequences the next value of each
 */
record BackupManifest(
        int yokebarBackup,
        int schema,
        Instant madeAt,
        List<String> holds,
        List<String> lacks,
        List<Table> tables,
        Map<String, Long> sequences) {
    static final int VERSION = 1;
    static final String NAME = "backup.json";

    static final List<String> HOLDS = List.of(
            "the log with every contact, its changes and its confirmations",
            "the intake journal",
            "all settings: station, radios, rotators, feeds, services, goals and views");
    static final List<String> LACKS = List.of(
            "the key that opens passwords and signing identities (secrets.key), unless a copy encrypted with a passphrase was "
                    + "kept: without it they are asked for again where they are used",
            "files that programs write and that Yokebar follows");

    /**
     * The rows of one table, in a file of its own.
     *
     * @param sha256 of that file as it was before it was compressed, hexadecimal
     */
    record Table(String name, List<String> columns, long rows, String sha256) {
        String file() {
            return "rows/" + name + ".jsonl";
        }
    }
}
