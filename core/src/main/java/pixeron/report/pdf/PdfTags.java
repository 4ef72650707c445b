package pixeron.report.pdf;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;

/** What the pieces of text on pages are: headings, paragraphs, tables with rows and cells. Screen readers read that. */
final class PdfTags {

    private final PDStructureTreeRoot root = new PDStructureTreeRoot();
    private final Deque<PDStructureNode> open = new ArrayDeque<>();
    /** For each page the elements of its marked pieces, in the order of their numbers. */
    private final List<COSArray> pages = new ArrayList<>();
    private PDPage page;

    PdfTags(PDDocument document, String title) {
        document.getDocumentInformation().setTitle(title);
        document.getDocumentCatalog().setLanguage("en");
        PDMarkInfo info = new PDMarkInfo();
        info.setMarked(true);
        document.getDocumentCatalog().setMarkInfo(info);
        PDViewerPreferences preferences = new PDViewerPreferences(new COSDictionary());
        preferences.setDisplayDocTitle(true);
        document.getDocumentCatalog().setViewerPreferences(preferences);
        document.getDocumentCatalog().setStructureTreeRoot(root);
        PDStructureElement whole = new PDStructureElement("Document", root);
        root.appendKid(whole);
        open.push(whole);
    }

    void turn(PDPage next) {
        page = next;
        page.setStructParents(pages.size());
        pages.add(new COSArray());
    }

    /** Begins something that has other things in it, such as a table or a row. */
    PDStructureElement open(String type) {
        PDStructureElement element = new PDStructureElement(type, open.peek());
        open.peek().appendKid(element);
        open.push(element);
        return element;
    }

    void close() {
        open.pop();
    }

    /** Begins a piece of text on the page. */
    PDStructureElement begin(PDPageContentStream content, String type) throws IOException {
        PDStructureElement element = open(type);
        close();
        again(content, element);
        return element;
    }

    /** Goes on with a piece of text, perhaps on the next page. */
    void again(PDPageContentStream content, PDStructureElement element) throws IOException {
        COSArray marked = pages.get(pages.size() - 1);
        int number = marked.size();
        COSDictionary properties = new COSDictionary();
        properties.setInt(COSName.MCID, number);
        content.beginMarkedContent(COSName.getPDFName(element.getStructureType()), PDPropertyList.create(properties));
        marked.add(element.getCOSObject());
        element.setPage(element.getPage() == null ? page : element.getPage());
        if (element.getPage().equals(page)) {
            element.appendKid(number);
        } else {
            COSDictionary reference = new COSDictionary();
            reference.setItem(COSName.TYPE, COSName.getPDFName("MCR"));
            reference.setItem(COSName.PG, page.getCOSObject());
            reference.setInt(COSName.MCID, number);
            COSArray kids = new COSArray();
            element.getKids().forEach(kid -> kids.add(kid instanceof Integer old ? COSInteger.get(old) : (COSDictionary) kid));
            kids.add(reference);
            element.getCOSObject().setItem(COSName.K, kids);
        }
    }

    /** Writes down which piece of which page belongs to which element. */
    void finish() {
        COSArray numbers = new COSArray();
        for (int n = 0; n < pages.size(); n++) {
            numbers.add(COSInteger.get(n));
            numbers.add(pages.get(n));
        }
        COSDictionary tree = new COSDictionary();
        tree.setItem(COSName.NUMS, numbers);
        root.getCOSObject().setItem(COSName.PARENT_TREE, tree);
        root.getCOSObject().setInt(COSName.PARENT_TREE_NEXT_KEY, pages.size());
    }
}
