package pixeron.app.window;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCombination;
import pixeron.Wording;
import pixeron.app.bench.parts.MiddlePane.View;
import pixeron.app.bench.sheets.SheetsPane.Kind;
import pixeron.app.folder.Settings;
import pixeron.app.help.ActionWords;
import pixeron.app.help.Findable;
import pixeron.app.help.MarkdownView;
import pixeron.app.model.ColorView;
import pixeron.app.model.Walking;
import pixeron.app.theme.Theme;
import pixeron.step.key.ChannelsParameter;

/** Every action, in groups, with its key. The keys work whether the menu is open or not. */
final class MainMenu {

    private final MenuButton button = new MenuButton("Menu");

    /** What the window itself does. */
    record Ways(Runnable showOpening, Runnable newImage, Runnable runProgram, Runnable applyToFiles,
            Runnable find, Runnable explain, Runnable showKeys, Runnable firstMinute, Runnable quit) {
    }

    /** What else the menu does. */
    record Others(ShelfActions shelf, AnswerActions answers, ExerciseActions exercises) {
    }

    MainMenu(FileActions files, ResultActions results, Others others, Commands commands, Theme theme, Ways ways) {
        button.setTooltip(new Tooltip("Show all actions with their shortcuts (F10)"));
        button.setAccessibleText("Menu: all actions with their shortcuts");
        button.getItems().addAll(fileMenu(files, results, others.shelf, ways), editMenu(others.answers, commands, ways),
                viewMenu(files, commands, theme), walkMenu(commands), exerciseMenu(others.exercises), helpMenu(ways));
    }

    private static Menu exerciseMenu(ExerciseActions exercises) {
        return new Menu("Exercises", null,
                item("Practice", "Shortcut+Shift+P", exercises::practice),
                item("Create an exercise from this…", "Shortcut+Shift+E", exercises::make),
                item("Mark a class…", "Shortcut+Shift+M", exercises::mark));
    }

    private static Menu helpMenu(Ways ways) {
        return new Menu("Help", null,
                item("Find anything…", "Shortcut+F", ways.find),
                item("Explain the focused control", "F1", ways.explain),
                item("Shortcuts", "Shift+F1", ways.showKeys),
                item("Quick start", "Shortcut+F1", ways.firstMinute));
    }

    /** Returns every action that the menu has, for the search. */
    List<Findable> actions() {
        List<Findable> actions = new ArrayList<>();
        collect(button.getItems(), "", actions);
        return actions;
    }

    private static void collect(List<MenuItem> items, String within, List<Findable> into) {
        for (MenuItem item : items) {
            if (item instanceof Menu menu) {
                collect(menu.getItems(), within.isEmpty() ? menu.getText() : within + ", " + menu.getText(), into);
            } else if (!(item instanceof SeparatorMenuItem) && item.isVisible()) {
                String keys = item.getAccelerator() == null ? "" : item.getAccelerator().getDisplayText();
                into.add(new Findable(Findable.Kind.ACTION, ActionWords.searched(item.getText(), within), keys, () -> new MarkdownView("# " + item.getText()
                        + "\n\nIn the menu under " + within + (keys.isEmpty() ? "." : ", or with `" + keys + "`.")), () -> fire(item)));
            }
        }
    }

    /** As a click on it would: an item with a tick turns it over first. */
    private static void fire(MenuItem item) {
        if (item instanceof CheckMenuItem check) {
            check.setSelected(!check.isSelected());
        }
        item.fire();
    }

    MenuButton button() {
        return button;
    }

    private static Menu fileMenu(FileActions files, ResultActions results, ShelfActions shelf, Ways ways) {
        return new Menu("File", null,
                item("Open…", "Shortcut+O", files::open),
                item("New image…", "Shortcut+N", ways.newImage),
                item("New image from the clipboard", "Shortcut+Shift+V", files::pasteImage),
                item("Open another image for this project…", "Shortcut+Alt+O", shelf::open),
                item("Paste as another image", "Shortcut+Alt+V", shelf::paste),
                item("Save result to shelf", "Shortcut+K", shelf::keepResult),
                item("Back to the project's own image", "Shortcut+Alt+B", shelf::back),
                new SeparatorMenuItem(),
                item("Save", "Shortcut+S", files::save),
                item("Save as…", "Shortcut+Shift+S", files::saveAs),
                item("Save result…", "Shortcut+E", results::saveResult),
                item("Write a report…", "Shortcut+P", results::saveReport),
                item("Apply to files…", "Shortcut+Shift+F", ways.applyToFiles),
                new SeparatorMenuItem(),
                item("Opening view", "Shortcut+W", ways.showOpening),
                item("Quit", "Shortcut+Q", ways.quit));
    }

    private static Menu editMenu(AnswerActions answers, Commands commands, Ways ways) {
        return new Menu("Edit", null,
                item("Undo", "Shortcut+Z", commands::undo),
                item("Redo", "Shortcut+Shift+Z", commands::redo),
                new SeparatorMenuItem(),
                item("Add a step…", "Shortcut+Shift+A", commands::addStep),
                new SeparatorMenuItem(),
                item("Copy values of the sheet", "Shortcut+C", commands::copyValues),
                commands.copyAs().menu(),
                item("Copy the sheet as a picture", "Shortcut+Alt+C", commands::copyPicture),
                item("Paste values", "Shortcut+V", commands::pasteValues),
                item("Open values by hand…", "Shortcut+Shift+O", answers::open),
                item("Run your program…", "Shortcut+R", ways.runProgram),
                item("Next difference", "F8", commands::nextDifference),
                item("Copy working", "Shortcut+Shift+C", () -> commands.copyWorking(false)),
                item("Copy working as LaTeX", "Shortcut+Shift+X", () -> commands.copyWorking(true)));
    }

    private static Menu viewMenu(FileActions files, Commands commands, Theme theme) {
        Menu menu = new Menu("View", null,
                item("Larger", "Shortcut+Plus", () -> commands.zoom(true)),
                item("Larger", "Shortcut+Equals", () -> commands.zoom(true)),
                item("Smaller", "Shortcut+Minus", () -> commands.zoom(false)),
                item("Whole image", "Shortcut+0", commands::fit),
                item("Go to pixel…", "Shortcut+G", commands::goToPixel),
                item("Track the picked pixel", "Shortcut+B", commands::followPixel),
                item("Next highlighted pixel", "F7", commands::nextLit),
                item("Color scale or gray", "Shortcut+Shift+G", commands::toggleScale),
                new SeparatorMenuItem(),
                item("Sheets", View.SHEETS.key(), () -> commands.show(View.SHEETS)),
                item("Table", View.TABLE.key(), () -> commands.show(View.TABLE)),
                item("Histogram", View.HISTOGRAM.key(), () -> commands.show(View.HISTOGRAM)),
                item("Curve", View.CURVE.key(), () -> commands.show(View.CURVE)),
                item("Compare", View.COMPARE.key(), () -> commands.show(View.COMPARE)),
                new SeparatorMenuItem());
        // The second key for Larger is for keyboards where + needs Shift; it need not be listed twice.
        menu.getItems().get(1).setVisible(false);
        for (Kind kind : Kind.values()) {
            CheckMenuItem check = new CheckMenuItem(kind.title());
            check.setAccelerator(KeyCombination.valueOf("Shortcut+" + kind.key()));
            check.setSelected(true);
            check.setOnAction(event -> check.setSelected(commands.toggle(kind)));
            menu.getItems().add(check);
        }
        menu.getItems().add(item("Enlarge one sheet, or show all", "F12", commands::large));
        Menu channels = new Menu("Channels");
        channels.getItems().add(item(ColorView.TOGETHER.title(), "Alt+0", () -> commands.lookAt(ColorView.TOGETHER, "")));
        for (String name : ChannelsParameter.ALL) {
            channels.getItems().add(item(Wording.capital(name), "Alt+" + channels.getItems().size(), () ->
                    commands.lookAt(ColorView.CHANNEL, name)));
        }
        channels.getItems().add(item(ColorView.APART.title(), "Alt+5", () -> commands.lookAt(ColorView.APART, "")));
        menu.getItems().addAll(new SeparatorMenuItem(), channels);
        CheckMenuItem dark = new CheckMenuItem("Dark");
        dark.setAccelerator(KeyCombination.valueOf("Shortcut+Shift+D"));
        dark.setOnAction(event -> files.setSettings(files.settingsProperty().get().withDark(!theme.isDark())));
        CheckMenuItem large = new CheckMenuItem("Large text");
        large.setAccelerator(KeyCombination.valueOf("Shortcut+Shift+L"));
        large.setOnAction(event -> files.setSettings(files.settingsProperty().get().withType(files.settingsProperty().get().type() == Theme.LARGE_TYPE ? Theme.NORMAL_TYPE : Theme.LARGE_TYPE)));
        Menu type = typeMenu(files);
        CheckMenuItem still = new CheckMenuItem("Reduce motion");
        still.setOnAction(event -> files.setSettings(files.settingsProperty().get().withStill(!theme.isStill())));
        files.settingsProperty().subscribe(settings -> {
            dark.setSelected(settings.isDark());
            large.setSelected(settings.type() == Theme.LARGE_TYPE);
            still.setSelected(settings.isStill());
        });
        menu.getItems().addAll(new SeparatorMenuItem(), dark, large, type, still);
        return menu;
    }

    private static Menu typeMenu(FileActions files) {
        Menu menu = new Menu("Text size");
        ToggleGroup sizes = new ToggleGroup();
        for (int percent : Settings.TYPES) {
            RadioMenuItem size = new RadioMenuItem(percent + " %");
            size.setToggleGroup(sizes);
            size.setOnAction(event -> files.setSettings(files.settingsProperty().get().withType(percent)));
            files.settingsProperty().subscribe(settings -> {
                if (settings.type() == percent) {
                    size.setSelected(true);
                }
            });
            menu.getItems().add(size);
        }
        return menu;
    }

    private static Menu walkMenu(Commands commands) {
        return new Menu("Walk", null,
                item("Start or close the walk", "F9", () -> commands.walk(Walking::toggle)),
                item("Play or pause", "Shift+F9", () -> commands.onWalk(walking ->
                        walking.playingProperty().set(!walking.playingProperty().get()))),
                item("Next pixel or table row", "Alt+Right", () -> commands.step(true)),
                item("Previous pixel or table row", "Alt+Left", () -> commands.step(false)),
                item("Next line of the loop", "Alt+Shift+Right", () -> commands.onWalk(Walking::oneMoment)),
                item("Next row or column", "Alt+Down", commands::nextLine),
                item("To the picked pixel", "Alt+Enter", commands::walkToPicked),
                new SeparatorMenuItem(),
                item("Lecture", "F11", commands::lecture));
    }

    private static MenuItem item(String text, String key, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setAccelerator(key == null ? null : KeyCombination.valueOf(key));
        item.setOnAction(event -> action.run());
        return item;
    }
}
