package pixeron.format;

import java.io.ByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Enumeration;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.apache.commons.io.ByteOrderMark;
import org.apache.commons.io.input.BOMInputStream;
import pixeron.PixeronException;

/**
 * Looks through a spreadsheet before a library makes its sheets: a small file may unpack to more than any memory holds, or say that one cell
 * stands a thousand million times. Every limit holds for the whole file.
 *
 * <p>Cost: the file is unpacked and read once, in pieces; nothing of it is kept.
 */
final class SpreadsheetGuard {

    /** Unpacked. */
    static final long MOST_BYTES = 32L << 20;
    private static final int MOST_PARTS = 1000;
    private static final int MOST_SHEETS = 1000;
    private static final int MOST_DEPTH = 200;
    /** What spreadsheet programs themselves allow in a cell. */
    private static final int MOST_CHARACTERS = 32_767;
    /** Repetitions are counted no further than to this, so that no sum overflows. */
    private static final long FAR = 1L << 40;

    private long bytes;
    private long cells;
    private int parts;
    private int sheets;

    private SpreadsheetGuard() {
    }

    /**
     * @param isXlsx whether its parts are those that its list at the end names, as the reader of XLSX takes them; else one after the other, as that of ODS does
     * @throws PixeronException if the file holds more than is read; says of what
     * @throws IOException if it is broken
     */
    static void check(byte[] file, boolean isXlsx) throws IOException {
        SpreadsheetGuard guard = new SpreadsheetGuard();
        if (isXlsx) {
            try (ZipFile zip = ZipFile.builder().setSeekableByteChannel(new SeekableInMemoryByteChannel(file)).get()) {
                for (Enumeration<ZipArchiveEntry> all = zip.getEntries(); all.hasMoreElements();) {
                    ZipArchiveEntry part = all.nextElement();
                    try (InputStream in = zip.getInputStream(part)) {
                        guard.part(part.getName(), in);
                    }
                }
            }
        } else {
            try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
                for (ZipEntry part = zip.getNextEntry(); part != null; part = zip.getNextEntry()) {
                    guard.part(part.getName(), zip);
                }
            }
        }
    }

    private void part(String name, InputStream in) throws IOException {
        requireNoMore(++parts, MOST_PARTS, "parts");
        InputStream counted = new Counted(in);
        if (name.toLowerCase(Locale.ROOT).endsWith(".xml")) {
            try {
                xml(counted);
            } catch (XMLStreamException broken) {
                throw new IOException(broken);
            }
        }
        // Also what is behind the end of the XML, or is none, is unpacked by the library.
        counted.transferTo(OutputStream.nullOutputStream());
    }

    /** Cells of both formats, those that are repeated as often as that. Elements are known by their names without a namespace. */
    private void xml(InputStream in) throws XMLStreamException, IOException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        XMLStreamReader reader = factory.createXMLStreamReader(decoded(in));
        Extent extent = new Extent();
        int depth = 0;
        while (reader.hasNext()) {
            switch (reader.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    requireNoMore(++depth, MOST_DEPTH, "levels of XML");
                    // Outside of cells, such as in comments and styles, texts do not add up.
                    extent.characters = extent.isInCell ? extent.characters : 0;
                    start(reader, extent);
                }
                case XMLStreamConstants.END_ELEMENT -> {
                    depth--;
                    end(reader.getLocalName(), extent);
                }
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
                    extent.characters += reader.getTextLength();
                    requireNoMore(extent.characters, MOST_CHARACTERS, "characters in a cell");
                }
                default -> {
                    // Comments and the like hold nothing.
                }
            }
        }
        reader.close();
    }

    /** Decoded here, broken text is only refused; the XML readers of Java print a message about it as well. */
    private static Reader decoded(InputStream in) throws IOException {
        BOMInputStream marked = BOMInputStream.builder().setInputStream(in).setByteOrderMarks(ByteOrderMark.UTF_8, ByteOrderMark.UTF_16LE, ByteOrderMark.UTF_16BE).get();
        String charset = marked.hasBOM() ? marked.getBOMCharsetName() : StandardCharsets.UTF_8.name();
        return new InputStreamReader(marked, Charset.forName(charset).newDecoder().onMalformedInput(CodingErrorAction.REPORT).onUnmappableCharacter(CodingErrorAction.REPORT));
    }

    /** Where in a sheet something stands. */
    private static final class Extent {
        private long row;
        private long rowRepeated = 1;
        private long column;
        private long columnRepeated = 1;
        private long widest;
        private boolean isCellFilled;
        private boolean isRowFilled;
        private boolean isInCell;
        private long characters;
    }

    private void start(XMLStreamReader reader, Extent extent) {
        switch (reader.getLocalName()) {
            case "table", "sheetData" -> {
                requireNoMore(++sheets, MOST_SHEETS, "sheets");
                extent.row = 0;
                extent.widest = 0;
            }
            case "table-row" -> {
                extent.column = 0;
                extent.isRowFilled = false;
                extent.rowRepeated = repeated(reader, "number-rows-repeated");
            }
            case "table-cell", "covered-table-cell" -> {
                extent.isInCell = true;
                extent.columnRepeated = repeated(reader, "number-columns-repeated");
                extent.isCellFilled = hasValue(reader);
            }
            case "c" -> {
                extent.isInCell = true;
                requireNoMore(++cells, Spreadsheets.MOST_CELLS, "cells");
            }
            case "p" -> extent.isCellFilled = true;
            case "si" -> extent.isInCell = true;
            default -> {
                // Everything else is a part of those.
            }
        }
    }

    private void end(String name, Extent extent) {
        switch (name) {
            case "table-cell", "covered-table-cell" -> {
                extent.column = Math.min(FAR, extent.column + extent.columnRepeated);
                if (extent.isCellFilled) {
                    extent.isRowFilled = true;
                    extent.widest = Math.max(extent.widest, extent.column);
                    cells += Math.min(FAR, extent.columnRepeated * Math.min(FAR / Math.max(1, extent.columnRepeated), extent.rowRepeated));
                    requireNoMore(cells, Spreadsheets.MOST_CELLS, "cells");
                }
                extent.isInCell = false;
            }
            case "table-row" -> {
                extent.row = Math.min(FAR, extent.row + extent.rowRepeated);
                if (extent.isRowFilled) {
                    // What is blank in between takes room as well.
                    requireNoMore(extent.row * Math.min(extent.widest, FAR / extent.row), Spreadsheets.MOST_CELLS, "cells");
                }
            }
            case "c", "si" -> extent.isInCell = false;
            default -> {
                // Everything else is a part of those.
            }
        }
    }

    private static boolean hasValue(XMLStreamReader reader) {
        for (int n = 0; n < reader.getAttributeCount(); n++) {
            if (reader.getAttributeLocalName(n).equals("value-type") || reader.getAttributeLocalName(n).equals("formula")) {
                return true;
            }
        }
        return false;
    }

    private static long repeated(XMLStreamReader reader, String attribute) {
        for (int n = 0; n < reader.getAttributeCount(); n++) {
            if (reader.getAttributeLocalName(n).equals(attribute)) {
                String times = reader.getAttributeValue(n);
                return times.matches("\\d{1,9}") ? Math.max(1, Long.parseLong(times)) : FAR;
            }
        }
        return 1;
    }

    private static void requireNoMore(long count, long most, String what) {
        if (count > most) {
            throw PixeronException.of("This spreadsheet has more than %d %s, the limit for values by hand.", most, what);
        }
    }

    /** Counts what is unpacked, of all parts together. */
    private final class Counted extends FilterInputStream {

        Counted(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            int one = super.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int read = super.read(into, from, length);
            count(Math.max(0, read));
            return read;
        }

        private void count(int more) {
            bytes += more;
            requireNoMore(bytes >> 20, MOST_BYTES >> 20, "MiB in it");
        }

        @Override
        public void close() {
            // The next part comes from the same stream.
        }
    }
}
