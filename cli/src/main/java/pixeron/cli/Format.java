package pixeron.cli;

/** How a command answers that has two ways; the names are the words of the option. */
enum Format {
    text, json
}
