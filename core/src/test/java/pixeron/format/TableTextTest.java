package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class TableTextTest {

    private static final List<List<String>> LEVELS = List.of(List.of("k", "n", "p(k) %"), List.of("0", "3", "37.5"), List.of("1", "5", "a|b"));

    @Test
    void aTableIsWrittenInEachForm() {
        assertThat(TableText.TABS.write(LEVELS)).isEqualTo("k\tn\tp(k) %\n0\t3\t37.5\n1\t5\ta|b\n");
        assertThat(TableText.CSV.write(LEVELS)).isEqualTo("k,n,p(k) %\n0,3,37.5\n1,5,a|b\n");
        assertThat(TableText.MARKDOWN.write(LEVELS)).isEqualTo("| k | n | p(k) % |\n|---:|---:|---:|\n| 0 | 3 | 37.5 |\n| 1 | 5 | a\\|b |\n");
        assertThat(TableText.LATEX.write(LEVELS)).isEqualTo("\\begin{tabular}{rrr}\nk & n & p(k) \\% \\\\\n\\hline\n0 & 3 & 37.5 \\\\\n1 & 5 & a|b \\\\\n\\end{tabular}\n");
    }
}
