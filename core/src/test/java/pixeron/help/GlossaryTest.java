package pixeron.help;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class GlossaryTest {

    private final Glossary glossary = Glossary.read();

    @Test
    void everyWordIsExplainedOnceAndEveryReferenceLeadsSomewhere() {
        Set<String> names = new HashSet<>();
        for (Glossary.Entry entry : glossary.entries()) {
            assertThat(entry.meaning()).as(entry.name()).hasSizeGreaterThan(15).doesNotContain("See:");
            assertThat(entry.see()).as(entry.name()).isNotEmpty().allSatisfy(see -> assertThat(glossary.find(see)).as(see).isPresent());
            for (String name : Stream.concat(Stream.of(entry.name()), entry.others().stream()).toList()) {
                assertThat(names.add(name)).as("%s is said once", name).isTrue();
                assertThat(glossary.find(name)).contains(entry);
            }
        }
        assertThat(names).contains("level", "histogram", "equalization", "kernel", "slip", "working", "walk", "frame", "shelf", "spectrum", "rank");
    }

    /** p is a share and P its running sum; of longer words it does not matter. */
    @Test
    void singleLettersAreToldApart() {
        assertThat(glossary.find("p").orElseThrow().name()).isEqualTo("relative frequency");
        assertThat(glossary.find("P").orElseThrow().name()).isEqualTo("cumulative relative frequency");
        assertThat(glossary.find("KERNEL").orElseThrow().name()).isEqualTo("kernel");
        assertThat(glossary.find("xyzzy")).isEmpty();
    }

    @Test
    void headingsBecomeEntries() {
        var made = Glossary.parse("# Words\n\nFor all.\n\n## b, also b\n\nSecond.\nOn.\n\nSee: a\n\n## a\n\nFirst.\n");
        assertThat(made.entries()).containsExactly(new Glossary.Entry("a", List.of(), "First.", List.of()),
                new Glossary.Entry("b", List.of("also b"), "Second.\nOn.", List.of("a")));
    }

    /** A page that is written for students is one that the window has, too. */
    @Test
    void everyPageIsThere() throws IOException {
        Set<String> written = new TreeSet<>();
        try (Stream<Path> files = Files.list(Path.of("../docs/definitions"))) {
            files.map(file -> file.getFileName().toString()).filter(name -> name.endsWith(".md")).map(name -> name.replace(".md", "")).filter(name -> !name.equals("words")).forEach(written::add);
        }
        assertThat(Page.all()).extracting(Page::name).containsExactlyInAnyOrderElementsOf(written);
        assertThat(Page.all()).allSatisfy(page -> assertThat(page.title()).isNotBlank().doesNotStartWith("#"));
    }
}
