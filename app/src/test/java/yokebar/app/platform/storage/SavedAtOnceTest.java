package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.OptimisticLockingFailureException;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

/** Two fields of one page of settings, each of which saves itself, at the same moment. */
class SavedAtOnceTest extends AppTest {
    private static final int ROUNDS = 30;

    private record Two(String one, String other) {}

    private static final Map<String, Two> FIELDS = Map.of(
            "/api/scoreboard", new Two("team", "everyMinutes"),
            "/api/safety", new Two("backupDaily", "backupsKept"),
            "/api/reference", new Two("daily", "address"),
            "/api/callbook", new Two("freshDays", "address"));

    @ParameterizedTest
    @ValueSource(strings = {"/api/scoreboard", "/api/safety", "/api/reference", "/api/callbook"})
    void twoFieldsOfOnePageAreBothStored(String path) throws Exception {
        Two fields = FIELDS.get(path);
        JsonNode before = get(path);
        for (int round = 1; round <= ROUNDS; round++) {
            Object one = value(fields.one(), round);
            Object other = value(fields.other(), round);
            List<CompletableFuture<HttpResponse<String>>> saving =
                    List.of(save(path, fields.one(), one), save(path, fields.other(), other));
            for (CompletableFuture<HttpResponse<String>> answer : saving) {
                assertThat(answer.get().statusCode()).as(answer.get().body()).isEqualTo(200);
            }
            JsonNode now = get(path);
            assertThat(now.path(fields.one()).asString()).isEqualTo(one.toString());
            assertThat(now.path(fields.other()).asString()).isEqualTo(other.toString());
        }
        Map<String, Object> back = new HashMap<>();
        back.put(fields.one(), JSON.convertValue(before.path(fields.one()), Object.class));
        back.put(
                fields.other(),
                before.has(fields.other()) ? JSON.convertValue(before.path(fields.other()), Object.class) : "");
        put(path, back);
    }

    private static Object value(String field, int round) {
        return switch (field) {
            case "team" -> "Team " + round;
            case "backupDaily", "daily" -> round % 2 == 0;
            case "address" -> "http://127.0.0.1:1/" + round + "/";
            default -> round;
        };
    }

    private CompletableFuture<HttpResponse<String>> save(String path, String field, Object value) {
        return CompletableFuture.supplyAsync(() -> {
            try {
                return sendJson("PUT", path, Map.of(field, value));
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
    }

    @Test
    void whoLostFiveRacesIsToldSo() {
        int[] tries = {0};
        Runnable loses = () -> {
            tries[0]++;
            throw new OptimisticLockingFailureException("changed");
        };
        Throwable lost = org.assertj.core.api.Assertions.catchThrowable(() -> OnConflict.tryAgain(loses));
        assertThat(tries[0]).isEqualTo(5);
        assertThat(OnConflict.isOne(new IllegalStateException(lost))).isTrue();
        assertThat(OnConflict.isOne(new IllegalStateException("other"))).isFalse();
    }
}
