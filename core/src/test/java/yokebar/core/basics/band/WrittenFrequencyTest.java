package yokebar.core.basics.band;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import yokebar.core.platform.data.DataLines;

class WrittenFrequencyTest {
    @Test
    void eachIsReadAsItIsMeant() {
        List<DataLines.Line> cases = DataLines.beside(WrittenFrequencyTest.class, "written-frequencies.txt");
        assertThat(cases).hasSizeGreaterThan(30);
        for (DataLines.Line line : cases) {
            String meant = line.columns().get(1);
            assertThat(WrittenFrequency.read(line.columns().get(0)))
                    .as(line.columns().get(0))
                    .isEqualTo(meant.equals("none") ? null : Long.valueOf(meant));
        }
        assertThat(WrittenFrequency.read("")).isNull();
    }
}
