package yokebar.core.basics.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CallTest {

    @ParameterizedTest
    @ValueSource(strings = {"CU9QYB", "OZ/CU9QYB/P", "CU9QYB/HB0", "3DA0QX", "QQQ"})
    void acceptsCalls(String text) {
        assertThat(Call.read(" " + text.toLowerCase(java.util.Locale.ROOT) + " "))
                .isEqualTo(new Call(text));
    }

    @ParameterizedTest(name = "\"{0}\"")
    @ValueSource(strings = {"", "A", "12", "123", "/CU9QYB", "CU9QYB/", "CU9//QYB", "CU9 QYB", "CU9QYB!", "ÇU9QYB"})
    void refusesWhatCannotBeACall(String text) {
        assertThat(Call.read(text)).isNull();
    }

    @Test
    void theConstructorInsists() {
        assertThatThrownBy(() -> new Call("cu9qyb")).hasMessageContaining("cu9qyb");
    }

    @Property
    void readingNeverThrows(@ForAll String text) {
        Call call = Call.read(text);
        assertThat(call == null || Call.read(call.text()).equals(call)).isTrue();
    }
}
