package pixeron.app.bench.counts;

import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Orientation;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Section;
import pixeron.app.bench.parts.Titles;
import pixeron.app.model.Bench;
import pixeron.app.model.Display;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.look.MemoryRow;
import pixeron.number.Decimals;

/** The picked pixel's row as it lies in memory: every sample with its offset, in an order that can be chosen. */
final class MemoryPane extends VBox {

    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
    private static final double CELL = 74;

    private final Bench bench;
    private final ComboBox<MemoryRow.Layout> layout = new ComboBox<>();
    private final Label formula = new Label();
    private final ListView<MemoryRow.Cell> row = new ListView<>();
    private Result image;
    private int shownRow = -1;
    private boolean isShowing;

    MemoryPane(Bench bench, Theme theme) {
        this.bench = bench;
        getStyleClass().add("memory");
        layout.setConverter(new Titles<>(MemoryRow.Layout::title));
        layout.setAccessibleText("Memory layout");
        layout.valueProperty().subscribe(chosen -> render(true));
        formula.getStyleClass().add("fact");
        HBox head = new HBox(Section.of("In memory"), layout);
        head.getStyleClass().add("part-head");
        row.setOrientation(Orientation.HORIZONTAL);
        row.setAccessibleText("The values of the picked row, by their offsets in memory");
        row.getStyleClass().add("memory-row");
        theme.scaleProperty().subscribe(scale -> row.setFixedCellSize(CELL * theme.scale()));
        row.setCellFactory(list -> new SampleCell());
        row.getSelectionModel().selectedItemProperty().subscribe(cell -> {
            if (cell != null && !isShowing) {
                bench.pick(cell.pixel());
            }
        });
        getChildren().addAll(head, formula, row);
    }

    /** Shows the row of After, or of the image. */
    void show(Shown shown) {
        Result now = shown == null ? null : shown.seenAfter().or(shown::seenBefore).map(Seen::result).orElse(null);
        // The parts of a spectrum are made when they are asked for; they do not lie in memory.
        boolean isThere = now != null && !(now instanceof Spectrum) && !(now instanceof ModelImage);
        setVisible(isThere);
        setManaged(isThere);
        boolean isOther = now != image;
        image = isThere ? now : null;
        if (image != null && !layout.getItems().equals(MemoryRow.Layout.of(image))) {
            isShowing = true;
            layout.getItems().setAll(MemoryRow.Layout.of(image));
            layout.setValue(layout.getItems().get(0));
            isShowing = false;
        }
        render(isOther);
    }

    private void render(boolean isOther) {
        if (image == null || layout.getValue() == null || isShowing) {
            return;
        }
        isShowing = true;
        Pixel picked = image.frame().nearest(bench.pickedProperty().get());
        if (isOther || picked.row() != shownRow) {
            shownRow = picked.row();
            formula.setText(layout.getValue().formula(image.frame(), image.faces().size()));
            row.getItems().setAll(MemoryRow.of(image, layout.getValue(), shownRow).cells());
        }
        boolean isThere = row.getSelectionModel().getSelectedItem() != null && row.getSelectionModel().getSelectedItem().pixel().equals(picked);
        if (!isThere) {
            row.getItems().stream().filter(cell -> cell.pixel().equals(picked)).findFirst().ifPresent(cell -> {
                row.getSelectionModel().select(cell);
                // Once the list has its width, and with a sample before it, so that one sees where it lies.
                Platform.runLater(() -> row.scrollTo(Math.max(0, row.getItems().indexOf(cell) - 1)));
            });
        }
        row.refresh();
        isShowing = false;
    }

    /** A sample: its offset above, its value, and below which pixel and channel it is. */
    private final class SampleCell extends ListCell<MemoryRow.Cell> {

        private final Label offset = new Label();
        private final Label value = new Label();
        private final Label channel = new Label();
        private final Label place = new Label();
        private final VBox box = new VBox(offset, value, channel, place);

        SampleCell() {
            box.getStyleClass().add("memory-cell");
            offset.getStyleClass().add("memory-offset");
            value.getStyleClass().add("memory-value");
            channel.getStyleClass().add("memory-place");
            place.getStyleClass().add("memory-place");
        }

        @Override
        protected void updateItem(MemoryRow.Cell cell, boolean isEmpty) {
            super.updateItem(cell, isEmpty);
            setGraphic(isEmpty ? null : box);
            if (!isEmpty) {
                Display display = bench.looking().display();
                boolean isGray = cell.channel().equals(Image.VALUE);
                channel.setText(cell.channel());
                channel.setVisible(!isGray);
                channel.setManaged(!isGray);
                offset.setText(Long.toString(cell.offset()));
                value.setText(Decimals.cell(cell.value()));
                place.setText((cell.pixel().row() + display.first()) + "," + (cell.pixel().column() + display.first()));
                box.pseudoClassStateChanged(PICKED, cell.pixel().equals(image.frame().nearest(bench.pickedProperty().get())));
                setAccessibleText("offset " + cell.offset() + ": " + (isGray ? "" : cell.channel() + ", ") + "row " + (cell.pixel().row() + display.first()) + ", column "
                        + (cell.pixel().column() + display.first()) + ", value " + value.getText());
            }
        }
    }
}
