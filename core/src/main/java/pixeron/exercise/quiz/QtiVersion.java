package pixeron.exercise.quiz;

import java.util.Set;
import java.util.regex.Pattern;

/** The versions of QTI that are written. The older one writes names as {@code responseCondition}, the newer one as {@code qti-response-condition}. */
enum QtiVersion {
    V2_1("http://www.imsglobal.org/xsd/imsqti_v2p1", "http://www.imsglobal.org/xsd/qti/qtiv2p1/imsqti_v2p1.xsd", "imsqti_item_xmlv2p1",
            "http://www.imsglobal.org/xsd/imscp_v1p1", "http://www.imsglobal.org/xsd/qti/qtiv2p1/qtiv2p1_imscpv1p2_v1p0.xsd", "QTIv2.1 Package", "1.0.0"),
    V3_0("http://www.imsglobal.org/xsd/imsqtiasi_v3p0", "https://purl.imsglobal.org/spec/qti/v3p0/schema/xsd/imsqti_asiv3p0_v1p0.xsd", "imsqti_item_xmlv3p0",
            "http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1", "https://purl.imsglobal.org/spec/qti/v3p0/schema/xsd/imsqtiv3p0_imscpv1p2_v1p0.xsd", "QTI Package", "3.0.0");

    /** Names that both versions take from HTML and XML. */
    private static final Set<String> OF_HTML = Set.of("p", "img", "table", "thead", "tbody", "tr", "th", "td");
    private static final Pattern CAPITAL = Pattern.compile("[A-Z]");
    private static final String PREFIX = "qti-";

    private final String items;
    private final String schema;
    private final String type;
    private final String content;
    private final String contentSchema;
    private final String title;
    private final String version;

    QtiVersion(String items, String schema, String type, String content, String contentSchema, String title, String version) {
        this.items = items;
        this.schema = schema;
        this.type = type;
        this.content = content;
        this.contentSchema = contentSchema;
        this.title = title;
        this.version = version;
    }

    /** Returns the namespace of items. */
    String items() {
        return items;
    }

    /** Returns the type of an item in a manifest. */
    String type() {
        return type;
    }

    /** Returns the namespace of manifests. */
    String content() {
        return content;
    }

    /** Returns where the schema of items is, behind their namespace. */
    String itemSchema() {
        return items + " " + schema;
    }

    /** Returns where the schema of manifests is, behind their namespace. */
    String contentSchema() {
        return content + " " + contentSchema;
    }

    /** Returns the kind of package, as its manifest says it. */
    String title() {
        return title;
    }

    String version() {
        return version;
    }

    /** @param name of the older version */
    String element(String name) {
        return this == V2_1 || OF_HTML.contains(name) ? name : PREFIX + hyphenated(name);
    }

    /** @param name of the older version */
    String attribute(String name) {
        return this == V2_1 || name.contains(":") ? name : hyphenated(name);
    }

    private static String hyphenated(String name) {
        return CAPITAL.matcher(name).replaceAll(found -> "-" + Character.toLowerCase(found.group().charAt(0)));
    }

    /** Returns whether the blocks of a feedback are in an element of their own. */
    boolean hasContentBody() {
        return this == V3_0;
    }
}
