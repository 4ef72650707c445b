package pixeron.byhand.slip.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

class CandidatesTest {

    /** What is looked up for sheet after sheet is what is found in each of them alone. */
    @Property(tries = 25)
    void sheetAfterSheetIsAsEachAlone(@ForAll long seed) {
        Random random = new Random(seed);
        // Of a small image all is looked up from the first sheet on; of a larger one the first sheet asks each slip by itself.
        boolean isLarger = random.nextInt(5) == 0;
        Image before = Image.ofLevels(isLarger ? 12 : 3 + random.nextInt(3), isLarger ? 11 : 3 + random.nextInt(3), 15, n -> random.nextInt(16));
        List<String> lines = List.of("box size=3", "invert", "equalize", "linear gain=1.5 bias=-2", "median size=3", "divide divisor=3");
        String line = lines.get(random.nextInt(lines.size()));
        Operation right = StepLine.parse(line).bind(before);
        List<Operation> slipped = List.of(right, StepLine.parse(line + " rounding=floor").bind(before), StepLine.parse(line + " overflow=wrap").bind(before),
                StepLine.parse("invert").bind(before));
        SlipFinder finder = new SlipFinder(right);
        if (random.nextBoolean()) {
            finder.prepare(Progress.NONE);
        }
        for (int n = 0; n < (isLarger ? 4 : 8); n++) {
            Image written = slipped.get(random.nextInt(slipped.size())).result(Progress.NONE);
            HandSheet sheet = HandSheet.EMPTY;
            for (int at = 0; at < before.count(); at++) {
                Pixel pixel = before.pixel(at);
                int kind = random.nextInt(12);
                String value = kind == 0 ? String.valueOf(random.nextInt(20)) : kind == 1 ? "0.5" : written.value(pixel).toString();
                sheet = random.nextInt(9) == 0 ? sheet : sheet.with(pixel, value);
            }
            Check check = Check.of(sheet, right);
            assertThat(said(finder, check)).as("%s, sheet %d", line, n).isEqualTo(said(new SlipFinder(right), check));
        }
    }

    private static List<String> said(SlipFinder finder, Check check) {
        return finder.find(check, Progress.NONE).slips().stream().map(slip -> slip.ids() + slip.text() + slip.certainty() + slip.pixels()).toList();
    }
}
