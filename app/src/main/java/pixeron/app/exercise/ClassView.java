package pixeron.app.exercise;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.control.cell.TextFieldTableCell;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.converter.DefaultStringConverter;
import pixeron.PixeronException;
import pixeron.app.bench.parts.FileDrop;
import pixeron.app.bench.parts.ProgressNote;
import pixeron.app.bench.parts.Section;
import pixeron.app.model.Background;
import pixeron.byhand.slip.SlipTitles;
import pixeron.exercise.Asked;
import pixeron.exercise.Code;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.ResultsFile;
import pixeron.project.Project;
import pixeron.step.Progress;

/** The answers of a class: a row for each, which slips came up how often, how hard each part was. */
public final class ClassView extends BorderPane {

    private static final List<String> EXERCISES = List.of("*" + ExerciseFile.ENDING);
    private static final List<String> ANSWERS = List.of("*.csv", "*.tsv", "*.txt", "*.xlsx", "*.ods", "*.png", "*.pgm", "*.tif", "*.tiff", "*.bmp", "*.gif", "*.json");
    private static final String NUMBER = "number";
    private static final int MOST_NAMES = 4;

    private final Choosing choosing;
    private final Consumer<RuntimeException> trouble;
    private final BiConsumer<String, Project> toBench;
    private final Background marking = new Background();
    /** Apart from marking: whoever saves what is there gives up nothing that is under way. */
    private final Background writing = new Background();
    private final Label title = new Label();
    private final TableView<Integer> table = new TableView<>();
    private final VBox side = new VBox();
    private final Button exercise = new Button("Exercise…");
    private final Button add = new Button("Add a folder…");
    private final Button files = new Button("Add a file…");
    private final Button results = new Button("Save results…");
    private final MenuButton reports = new MenuButton("Reports");
    private final CheckBox follow = new CheckBox("Credit follow-through");
    private final Label done = new Label();
    private Answers answers;

    /**
     * Creates the view of a class without answers.
     *
     * @param toBench opens work on the bench, under a name
     */
    public ClassView(Choosing choosing, Consumer<RuntimeException> trouble, BiConsumer<String, Project> toBench, Runnable leave) {
        this.choosing = choosing;
        this.trouble = trouble;
        this.toBench = toBench;
        getStyleClass().add("practice");
        setTop(head(leave));
        setCenter(table());
        side.getStyleClass().add("side");
        ScrollPane scroll = new ScrollPane(side);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("class-side");
        setRight(scroll);
        FileDrop.on(this, this::read);
        render();
    }

    private Region head(Runnable leave) {
        title.getStyleClass().add("card-title");
        title.setMinWidth(0);
        exercise.setTooltip(new Tooltip("Choose the exercise that the answers belong to"));
        exercise.setOnAction(event -> chooseExercise());
        add.getStyleClass().add("accent");
        add.setTooltip(new Tooltip("Add all tables, spreadsheets, pictures and projects in a folder. Or drop the folder on this window."));
        add.setOnAction(event -> choosing.folder("Answers of the class").ifPresent(folder -> read(List.of(folder))));
        files.setTooltip(new Tooltip("Add a table, a spreadsheet with one sheet per answer, a picture or a project"));
        files.setOnAction(event -> choosing.toOpen("An answer", "Answers", ANSWERS).ifPresent(file -> read(List.of(file))));
        results.setTooltip(new Tooltip("Save results as CSV or XLSX: students, slips, questions"));
        results.setOnAction(event -> saveResults());
        reports.setTooltip(new Tooltip("Save one PDF per student"));
        MenuItem feedback = new MenuItem("Feedback (at most two pages)…");
        feedback.setOnAction(event -> write("Folder for the feedback", "files with feedback", Answers::writeFeedback));
        MenuItem whole = new MenuItem("Full report with all workings…");
        whole.setOnAction(event -> write("Folder for the reports", "reports", Answers::writeReports));
        reports.getItems().addAll(feedback, whole);
        follow.setTooltip(new Tooltip("Give full points for values that follow from an earlier mistake"));
        follow.setSelected(true);
        follow.setOnAction(event -> {
            answers = answers.counting(follow.isSelected());
            render();
        });
        Button back = new Button("Back");
        back.setOnAction(event -> leave.run());
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        ProgressNote note = new ProgressNote("Marking…", "Cancel; marked answers are kept", marking, marking::cancel);
        ProgressNote written = new ProgressNote("Writing…", "Cancel; written files are kept", writing, writing::cancel);
        HBox buttons = new HBox(exercise, files, add, results, reports, back);
        buttons.getStyleClass().add("buttons");
        buttons.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(title, done, note, written, space, follow, buttons);
        head.getStyleClass().add("class-head");
        done.getStyleClass().add("found-sentence");
        return head;
    }

    private Region table() {
        table.getStyleClass().add("class-table");
        table.setEditable(true);
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        table.setAccessibleText("Answers of the class");
        table.setPlaceholder(new Label("Drop the folder with the answers of the class here."));
        table.getColumns().addAll(List.of(column("Name", 112, ClassTable::who, ""), code(), column("Points", 72, this::points, NUMBER),
                column("Agree", 62, marked -> number(marked, marked.agree()), NUMBER), column("Follow", 62, marked -> number(marked, marked.follow()), NUMBER),
                column("Differ", 62, marked -> number(marked, marked.differ()), NUMBER), column("First slip", 236, marked -> marked.firstSlip().map(SlipTitles::ofWritten).orElse(""), ""),
                column("First mistake", 190, marked -> marked.isMarked() ? (marked.problem().isEmpty() ? "" : "▲ " + marked.problem() + "  ") + marked.starts().map(text -> text.replaceFirst("^First mistake: ", "").replaceFirst("\\. You wrote.*", "")).orElse("")
                        : "▲ " + marked.problem(), "why"), comment()));
        table.setRowFactory(view -> {
            TableRow<Integer> row = new TableRow<>();
            row.setOnMouseClicked(event -> {
                if (event.getClickCount() == 2 && row.getItem() != null) {
                    openWork(row.getItem());
                }
            });
            return row;
        });
        table.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && table.getEditingCell() == null && table.getSelectionModel().getSelectedItem() != null) {
                openWork(table.getSelectionModel().getSelectedItem());
            }
        });
        return table;
    }

    private static String number(Marked marked, int number) {
        return marked.isMarked() ? String.valueOf(number) : "";
    }

    private String points(Marked marked) {
        return marked.isMarked() ? Asked.written(marked.points(answers.followCounts())) : "";
    }

    private Marked marked(Integer place) {
        return answers.entries().get(place).marked();
    }

    private TableColumn<Integer, String> column(String name, int width, Function<Marked, String> text, String style) {
        TableColumn<Integer, String> column = new TableColumn<>(name);
        column.setPrefWidth(width);
        if (!style.equals("why")) {
            column.setMaxWidth(1.3 * width);
            column.setMinWidth(0.9 * width);
        }
        if (style.equals(NUMBER)) {
            column.getStyleClass().add("right-head");
        }
        column.setCellValueFactory(cell -> new ReadOnlyStringWrapper(text.apply(marked(cell.getValue()))));
        column.setCellFactory(of -> new TableCell<>() {
            @Override
            protected void updateItem(String item, boolean isEmpty) {
                super.updateItem(item, isEmpty);
                setText(isEmpty ? "" : item);
                boolean isProblem = !isEmpty && item != null && item.startsWith("▲");
                getStyleClass().removeAll(NUMBER, "problem");
                if (!style.isEmpty() && !style.equals("why")) {
                    getStyleClass().add(style);
                }
                if (isProblem) {
                    getStyleClass().add("problem");
                }
                setTooltip(style.equals("why") && !isEmpty && item != null && !item.isEmpty() ? new Tooltip(item) : null);
            }
        });
        // Numbers are in their order as numbers.
        column.setComparator((a, b) -> style.equals(NUMBER) ? Double.compare(value(a), value(b)) : a.compareToIgnoreCase(b));
        return column;
    }

    private static double value(String text) {
        return text.isEmpty() ? -1 : Double.parseDouble(text);
    }

    /** What an answer lacks is asked for here: a code that is typed is what counts. */
    private TableColumn<Integer, String> code() {
        TableColumn<Integer, String> column = edited("Code", 120, marked -> marked.code().map(Code::toString).orElse(""), (place, text) -> {
            if (!text.isBlank()) {
                answers = answers.withCode(place, text);
            }
        });
        column.setMinWidth(118);
        column.setMaxWidth(140);
        return column;
    }

    private TableColumn<Integer, String> comment() {
        return edited("Comment", 110, Marked::comment, (place, text) -> answers = answers.withComment(place, text));
    }

    private TableColumn<Integer, String> edited(String name, int width, Function<Marked, String> text, BiConsumer<Integer, String> change) {
        TableColumn<Integer, String> column = new TableColumn<>(name);
        column.setPrefWidth(width);
        column.setCellValueFactory(cell -> new ReadOnlyStringWrapper(text.apply(marked(cell.getValue()))));
        column.setCellFactory(of -> new TextFieldTableCell<>(new DefaultStringConverter()));
        column.setEditable(true);
        column.setOnEditCommit(event -> {
            try {
                change.accept(event.getRowValue(), event.getNewValue());
            } catch (PixeronException problem) {
                trouble.accept(problem);
            }
            render();
        });
        return column;
    }

    /** Puts the keyboard where it belongs when this is shown. */
    public void focusFirst() {
        (answers == null ? exercise : answers.entries().isEmpty() ? add : table).requestFocus();
    }

    /**
     * Opens an exercise.
     *
     * @param file an exercise whose answers are marked from now on
     */
    public void open(Path file) {
        marking.start(progress -> Answers.of(ExerciseFile.read(file)), opened -> {
            answers = opened.counting(follow.isSelected());
            render();
            add.requestFocus();
        }, trouble);
    }

    private void chooseExercise() {
        choosing.toOpen("The exercise that was answered", "Exercises", EXERCISES).ifPresent(this::open);
    }

    private void read(List<Path> paths) {
        Optional<Path> exercise = paths.stream().filter(path -> path.getFileName().toString().endsWith(ExerciseFile.ENDING)).findFirst();
        if (exercise.isPresent()) {
            open(exercise.get());
        } else if (answers == null) {
            trouble.accept(PixeronException.of("First choose the exercise that these answers belong to."));
        } else if (marking.progressProperty().get() != Background.IDLE) {
            trouble.accept(PixeronException.of("Pixeron is still marking. Add more answers when it is done."));
        } else {
            Answers before = answers;
            marking.start(progress -> before.read(paths, progress), more -> {
                // To what is there now: codes and comments may have been typed meanwhile.
                answers = answers.with(more.entries());
                render();
                tellLeftOut(more.leftOut());
                table.requestFocus();
                table.getSelectionModel().selectFirst();
            }, trouble);
        }
    }

    private void tellLeftOut(List<String> names) {
        done.setText(names.isEmpty() ? "" : names.size() + (names.size() == 1 ? " file was ignored" : " files were ignored"));
        done.setTooltip(names.isEmpty() ? null : new Tooltip("Hidden, or of another kind: " + String.join(", ", names.subList(0, Math.min(20, names.size())))
                + (names.size() > 20 ? ", …" : "")));
    }

    private void openWork(int place) {
        Marked marked = marked(place);
        marked.work().ifPresentOrElse(work -> toBench.accept(ClassTable.who(marked), work), () -> trouble.accept(PixeronException.of("%s", marked.problem())));
    }

    private void saveResults() {
        ClassTable kept = answers.table();
        choosing.toSave("Save the results", "results.csv", "Results", List.of("*.csv", "*.xlsx")).ifPresent(file ->
                writing.start(progress -> ResultsFile.write(file, kept), written -> done.setText("Wrote " + written.get(0).getFileName()), trouble));
    }

    /** Writes files into a folder and returns how many. */
    private interface FolderWriter {
        int write(Answers answers, Path folder, Progress progress);
    }

    private void write(String question, String what, FolderWriter writer) {
        Answers kept = answers;
        choosing.folder(question).ifPresent(folder ->
                writing.start(progress -> writer.write(kept, folder, progress), count -> done.setText("Wrote " + count + " " + what), trouble));
    }

    private void render() {
        boolean isOpen = answers != null;
        title.setText(isOpen ? answers.exercise().title() : "Mark a class");
        List.of(add, files).forEach(button -> button.setDisable(!isOpen));
        List.<Control>of(results, reports).forEach(button -> button.setDisable(!isOpen || answers.entries().isEmpty()));
        follow.setDisable(!isOpen);
        int count = isOpen ? answers.entries().size() : 0;
        Integer selected = table.getSelectionModel().getSelectedItem();
        table.getItems().setAll(IntStream.range(0, count).boxed().toList());
        table.sort();
        table.refresh();
        if (selected != null && selected < count) {
            table.getSelectionModel().select(selected);
        }
        side.getChildren().clear();
        if (!isOpen) {
            side.getChildren().add(words("Choose the exercise. Then drop the answers: filled-in tables, spreadsheets with one sheet per answer, pictures, "
                    + "projects. Pixeron identifies each answer by its code. Nothing leaves this computer."));
            return;
        }
        renderSide(answers.table());
    }

    private void renderSide(ClassTable of) {
        long marked = of.marks().stream().filter(Marked::isMarked).count();
        side.getChildren().add(Section.of("Answers"));
        side.getChildren().add(words(marked + " of " + of.marks().size() + " marked, of " + Asked.worth(answers.exercise().points())
                + (marked < of.marks().size() ? ". Enter the missing codes." : ".")));
        side.getChildren().add(Section.of("Most frequent slips"));
        if (of.slips().isEmpty()) {
            side.getChildren().add(words(of.marks().isEmpty() ? "Slips appear here once answers are added." : "No slip found."));
        }
        for (ClassTable.Count slip : of.slips()) {
            Label number = new Label(String.valueOf(slip.by().size()));
            number.getStyleClass().add("count-number");
            Label name = new Label(slip.title() + "\n" + String.join(", ", slip.by().stream().limit(MOST_NAMES).toList()) + (slip.by().size() > MOST_NAMES ? ", …" : ""));
            name.setWrapText(true);
            HBox row = new HBox(number, name);
            row.getStyleClass().add("count-row");
            side.getChildren().add(row);
        }
        side.getChildren().add(Section.of("Score by question"));
        for (ClassTable.PartCount part : of.parts()) {
            Label name = words(part.title());
            ProgressBar bar = new ProgressBar(part.percent() / 100.0);
            bar.getStyleClass().add("share");
            bar.setMaxWidth(Double.MAX_VALUE);
            bar.setAccessibleText(part.title() + ", " + part.percent() + "% correct");
            HBox.setHgrow(bar, Priority.ALWAYS);
            Label percent = new Label(part.percent() + "%");
            percent.getStyleClass().add("count-number");
            percent.setMinWidth(Region.USE_PREF_SIZE);
            HBox row = new HBox(bar, percent);
            row.getStyleClass().add("count-row");
            side.getChildren().add(new VBox(name, row));
        }
    }

    private static Label words(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        return label;
    }
}
