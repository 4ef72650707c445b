package pixeron.app.help;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TableRow;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.CustomBlock;
import org.commonmark.node.Emphasis;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.Heading;
import org.commonmark.node.HtmlBlock;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.ListItem;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.parser.Parser;
import pixeron.help.figure.FigureMark;

/** A page in Markdown as parts of the window: headings, paragraphs, lists, tables and what a command prints. */
public final class MarkdownView extends VBox {

    /** A cell of a table is as wide as its text up to so many letters, then it has more lines. */
    private static final int MOST_LETTERS = 22;
    private static final double LETTER = 8.2;
    private static final Parser PARSER = Parser.builder().extensions(List.of(TablesExtension.create())).build();

    /**
     * Lays out text, tables and code without figures.
     *
     * @param markdown a piece of a page, without figures
     */
    public MarkdownView(String markdown) {
        this(markdown, mark -> Optional.empty());
    }

    /**
     * Lays out a page with its figures.
     *
     * @param markdown a page
     * @param figures draws a figure of it
     */
    public MarkdownView(String markdown, Function<FigureMark, Optional<Node>> figures) {
        getStyleClass().add("page");
        PARSER.parse(markdown).accept(new Blocks(this, figures));
    }

    /** Lays blocks under one another. */
    private static final class Blocks extends AbstractVisitor {

        private final VBox into;
        private final Function<FigureMark, Optional<Node>> figures;
        private String bullet = "";

        Blocks(VBox into, Function<FigureMark, Optional<Node>> figures) {
            this.into = into;
            this.figures = figures;
        }

        @Override
        public void visit(HtmlBlock html) {
            FigureMark.find(html.getLiteral()).flatMap(figures).ifPresent(into.getChildren()::add);
        }

        @Override
        public void visit(Heading heading) {
            into.getChildren().add(flow(heading, "page-heading-" + Math.min(3, heading.getLevel())));
        }

        @Override
        public void visit(Paragraph paragraph) {
            into.getChildren().add(flow(paragraph, "page-text"));
        }

        @Override
        public void visit(BulletList list) {
            bullet = "•";
            visitChildren(list);
        }

        @Override
        public void visit(OrderedList list) {
            bullet = "–";
            visitChildren(list);
        }

        @Override
        public void visit(ListItem item) {
            VBox content = new VBox();
            Blocks inner = new Blocks(content, figures);
            inner.visitChildren(item);
            GridPane row = new GridPane();
            row.getStyleClass().add("page-item");
            row.add(new Label(bullet), 0, 0);
            row.add(content, 1, 0);
            GridPane.setValignment(row.getChildren().get(0), javafx.geometry.VPos.TOP);
            into.getChildren().add(row);
        }

        @Override
        public void visit(FencedCodeBlock code) {
            addCode(code.getLiteral());
        }

        @Override
        public void visit(IndentedCodeBlock code) {
            addCode(code.getLiteral());
        }

        private void addCode(String text) {
            Label label = new Label(text.stripTrailing());
            label.getStyleClass().add("page-code");
            label.setMinWidth(USE_PREF_SIZE);
            // What a command prints has long lines; only it moves sideways, not the whole page.
            ScrollPane sideways = new ScrollPane(label);
            sideways.getStyleClass().add("page-block");
            sideways.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
            sideways.setMinHeight(USE_PREF_SIZE);
            sideways.setFocusTraversable(false);
            into.getChildren().add(sideways);
        }

        @Override
        public void visit(CustomBlock block) {
            if (block instanceof TableBlock) {
                GridPane table = new GridPane();
                table.getStyleClass().add("page-table");
                int[] row = {0};
                block.accept(new AbstractVisitor() {
                    @Override
                    public void visit(org.commonmark.node.CustomNode node) {
                        if (node instanceof TableRow) {
                            addRow(table, row[0]++, node);
                        } else {
                            visitChildren(node);
                        }
                    }
                });
                into.getChildren().add(table);
            }
        }

        private static void addRow(GridPane table, int row, org.commonmark.node.Node cells) {
            int column = 0;
            for (org.commonmark.node.Node cell = cells.getFirstChild(); cell != null; cell = cell.getNext()) {
                TextFlow text = flow(cell, cell instanceof TableCell head && head.isHeader() ? "page-head" : "page-text");
                GridPane.setHalignment(text, HPos.LEFT);
                int letters = text.getChildren().stream().mapToInt(piece -> ((Text) piece).getText().length()).sum();
                text.setMinWidth(LETTER * Math.min(MOST_LETTERS, letters));
                table.add(text, column++, row);
            }
        }
    }

    private static TextFlow flow(org.commonmark.node.Node block, String styleClass) {
        TextFlow flow = new TextFlow();
        flow.getStyleClass().add(styleClass);
        block.accept(new Pieces(flow, styleClass));
        return flow;
    }

    /** Puts pieces of text behind one another. */
    private static final class Pieces extends AbstractVisitor {

        private final TextFlow into;
        private String style;

        Pieces(TextFlow into, String style) {
            this.into = into;
            this.style = style;
        }

        private void add(String text, String styleClass) {
            Text piece = new Text(text);
            piece.getStyleClass().addAll("page-piece", styleClass);
            into.getChildren().add(piece);
        }

        @Override
        public void visit(org.commonmark.node.Text text) {
            add(text.getLiteral(), style);
        }

        @Override
        public void visit(Code code) {
            add(code.getLiteral(), "page-number");
        }

        @Override
        public void visit(SoftLineBreak lineBreak) {
            add(" ", style);
        }

        @Override
        public void visit(StrongEmphasis strong) {
            styled("page-strong", strong);
        }

        @Override
        public void visit(Emphasis emphasis) {
            styled("page-strong", emphasis);
        }

        private void styled(String styleClass, org.commonmark.node.Node node) {
            String outer = style;
            style = styleClass;
            visitChildren(node);
            style = outer;
        }
    }
}
