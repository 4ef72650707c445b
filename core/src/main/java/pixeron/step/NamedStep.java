package pixeron.step;

/** What every kind of step has: its name and what it is called and does, for people. */
public abstract class NamedStep implements StepType {

    private final String name;
    private final String title;
    private final String sentence;

    /**
     * Creates a step with its name, title and sentence.
     *
     * @param name the first word of its line
     * @param title its name for people
     * @param sentence what it does
     */
    protected NamedStep(String name, String title, String sentence) {
        this.name = name;
        this.title = title;
        this.sentence = sentence;
    }

    /** Steps of the same kind are alike wherever they were made. */
    @Override
    public boolean equals(Object other) {
        return other != null && getClass() == other.getClass() && name.equals(((NamedStep) other).name);
    }

    @Override
    public int hashCode() {
        return name.hashCode();
    }

    @Override
    public final String name() {
        return name;
    }

    @Override
    public final String title() {
        return title;
    }

    @Override
    public final String sentence() {
        return sentence;
    }
}
