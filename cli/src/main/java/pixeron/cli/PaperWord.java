package pixeron.cli;

import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;
import pixeron.report.pdf.Paper;

/** The word for a paper. */
final class PaperWord implements ITypeConverter<Paper> {

    @Override
    public Paper convert(String word) {
        for (Paper paper : Paper.values()) {
            if (paper.name().equalsIgnoreCase(word)) {
                return paper;
            }
        }
        throw new TypeConversionException("\"" + word + "\" is not a valid paper size; use a4 or letter");
    }
}
