package pixeron.app.bench.working;

import java.util.List;
import java.util.Optional;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Whole;
import pixeron.byhand.Check;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.image.Pixel;

/**
 * What is told of the user's values: those of one image, or of all channels together, whose places are told with their channel.
 *
 * @param bench where places are gone to
 * @param check the values
 * @param found what explains those that differ
 * @param faces all channels beside each other; empty for one image
 */
record Told(Bench bench, Check check, Findings found, Optional<Abreast> faces) {

    static Told of(Bench bench) {
        return new Told(bench, bench.hand().check(), bench.hand().found(), bench.shown().whole().filter(whole -> bench.hand().isWhole())
                .map(Whole::faces));
    }

    List<Explanation> slips() {
        return found.slips();
    }

    /** Returns a place as the user counts, with its channel where there are several. */
    String place(Pixel at) {
        return faces.map(all -> all.face(at) + ", ").orElse("") + Words.place(faces.map(all -> all.pixel(at)).orElse(at), bench.looking().display());
    }

    /** Picks the pixel. */
    void goTo(Pixel at) {
        bench.pick(faces.map(all -> all.pixel(at)).orElse(at));
    }
}
