package pixeron.byhand.work;

import java.util.List;
import pixeron.image.SpectrumFace;

/** Of which faces of a step's result something is told. */
public final class WrittenFaces {

    private WrittenFaces() {
    }

    /**
     * Returns that of an image; of a spectrum those that were written, and its magnitude where none was.
     *
     * @param faces the work on all faces of the result of one step
     */
    public static List<StepWork> of(List<StepWork> faces) {
        List<StepWork> written = faces.stream().filter(face -> !face.isEmpty()).toList();
        return faces.size() <= 1 ? faces : !written.isEmpty() ? written
                : faces.stream().filter(face -> face.face().equals(SpectrumFace.MAGNITUDE.word())).toList();
    }
}
