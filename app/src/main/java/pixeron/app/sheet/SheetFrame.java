package pixeron.app.sheet;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A sheet with its head: what it is, the findings about it, where it comes from; and words where it is empty. */
public final class SheetFrame extends VBox {

    /** A caption that is cut to less than this part is not shown. */
    private static final double LEGIBLE = 0.6;

    private final Label subtitle = new Label();
    private final Label caption = new Label();
    private final Label hint = new Label();
    private final HBox tools = new HBox();
    private final ValueBar bar = new ValueBar();
    private final HBox below = new HBox();
    private final Pane body;
    private Overview overview;
    private final Sheet sheet;

    /**
     * Creates a frame with a title, a sheet and room for a caption.
     *
     * @param title what it is
     * @param role style class of its color: before, after or by-hand
     */
    public SheetFrame(String title, String role, Sheet sheet) {
        this.sheet = sheet;
        getStyleClass().addAll("sheet", role);
        Label name = new Label(title);
        name.getStyleClass().add("sheet-title");
        name.setMinWidth(Region.USE_PREF_SIZE);
        subtitle.getStyleClass().add("sheet-subtitle");
        subtitle.setTextOverrun(OverrunStyle.ELLIPSIS);
        caption.getStyleClass().add("sheet-caption");
        caption.setManaged(false);
        // The beginning of a word says less than nothing.
        caption.widthProperty().subscribe(width -> caption.setOpacity(width.doubleValue() < LEGIBLE * caption.prefWidth(-1) ? 0 : 1));
        tools.getStyleClass().add("sheet-tools");
        tools.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(name, gap, caption, tools);
        head.getStyleClass().add("sheet-head");
        hint.getStyleClass().add("sheet-hint");
        hint.setWrapText(true);
        hint.setMouseTransparent(true);
        below.getChildren().setAll(subtitle, bar);
        below.getStyleClass().add("sheet-line");
        HBox.setHgrow(subtitle, Priority.ALWAYS);
        subtitle.setMaxWidth(Double.MAX_VALUE);
        body = new Pane(sheet, hint) {
            @Override
            protected void layoutChildren() {
                sheet.resizeRelocate(0, 0, getWidth(), getHeight());
                if (overview != null) {
                    overview.relocate(getWidth() - overview.getWidth() - 10, getHeight() - overview.getHeight() - 10);
                }
                double width = Math.max(40, getWidth() - 48);
                hint.resizeRelocate(24, 32, width, hint.prefHeight(width));
            }
        };
        VBox.setVgrow(body, Priority.ALWAYS);
        getChildren().addAll(head, below, body);
        visibleProperty().subscribe(sheet::setShown);
    }

    /**
     * Sets the role of the sheet.
     *
     * @param role style class of its color: before, after or by-hand
     */
    public void setRole(String role) {
        getStyleClass().setAll("sheet", role);
    }

    public Sheet sheet() {
        return sheet;
    }

    /**
     * Adds a control.
     *
     * @param control is put at the right of the line below the head
     */
    public void addCornerControl(Node control) {
        below.getChildren().add(control);
    }

    /** Returns where controls of this sheet are put, at the right of its head. */
    public HBox tools() {
        return tools;
    }

    /**
     * Adds an overview.
     *
     * @param map lies over the lower right corner of the sheet
     */
    public void setOverview(Overview map) {
        overview = map;
        map.layoutBoundsProperty().subscribe(bounds -> body.requestLayout());
        body.getChildren().add(map);
    }

    /**
     * Sets the tooltip of the caption.
     *
     * @param words what the pointer is told over the caption: what a sign in it means
     */
    public void setCaptionWords(String words) {
        caption.setTooltip(new Tooltip(words));
    }

    /** Returns the bar that says which color represents which value; empty until it is told. */
    public ValueBar bar() {
        return bar;
    }

    Pane body() {
        return body;
    }

    public void setSubtitle(String text) {
        subtitle.setText(text);
    }

    public void setCaption(String text) {
        caption.setText(text);
        caption.setManaged(!text.isEmpty());
    }

    /**
     * Sets the text of an empty sheet.
     *
     * @param text the message of an empty sheet; empty for none
     */
    public void setHint(String text) {
        hint.setText(text);
        hint.setVisible(!text.isEmpty());
    }
}
