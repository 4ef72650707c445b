package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pixeron.byhand.slip.search.Findings;

class PatienceTest {

    @Test
    void aSearchThatTakesTooLongEndsWithASentence() {
        List<String> told = new ArrayList<>();
        assertThat(Patience.find(progress -> Findings.NONE, done -> true, told::add)).isSameAs(Findings.NONE);
        assertThat(told).isEmpty();
        assertThat(Patience.find(progress -> {
            progress.report(0);
            throw new AssertionError("went on");
        }, done -> false, told::add)).isSameAs(Findings.NONE);
        assertThat(told).containsExactly("The search for slips was stopped after 10 s. The values are checked.");
    }
}
