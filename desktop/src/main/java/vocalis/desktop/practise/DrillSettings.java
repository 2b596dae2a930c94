package vocalis.desktop.practise;

import java.util.function.BooleanSupplier;
import vocalis.core.practice.Vanishing;
import vocalis.core.rhythm.Ticks;
import vocalis.desktop.session.Teller;
import vocalis.workbench.playing.Drill;
import vocalis.workbench.words.PracticeWords;

/** How a stretch is practised: who is heard, what is counted, whose tab is read. */
public final class DrillSettings {

    private static final Vanishing[] VANISHINGS = {
        Vanishing.NEVER, new Vanishing(2, 2), new Vanishing(4, 4), new Vanishing(2, 6)
    };

    private static final long[] FINEST = {Ticks.QUARTER, Ticks.EIGHTH, Ticks.SIXTEENTH};

    private final Teller session;
    private final BooleanSupplier second;
    private final Runnable heardOtherwise;
    private final Runnable changed;
    private int countIn = 1;
    private boolean click = true;
    private int vanishing;
    private int finest = 1;
    private Drill.Who who = Drill.Who.ALL;
    private boolean secondShown;

    /**
     * @param second whether the song has a second guitar
     * @param heardOtherwise told when what is heard is another
     * @param changed told when something is shown otherwise
     */
    DrillSettings(
            Teller session, BooleanSupplier second, Runnable heardOtherwise, Runnable changed) {
        this.session = session;
        this.second = second;
        this.heardOtherwise = heardOtherwise;
        this.changed = changed;
    }

    /** Whether the second guitar's tab is read. */
    public boolean secondShown() {
        return secondShown && second.getAsBoolean();
    }

    /** Length of what is counted. */
    public long finest() {
        return FINEST[finest];
    }

    public Drill.Who who() {
        return who;
    }

    public int countIn() {
        return countIn;
    }

    public boolean click() {
        return click;
    }

    public Vanishing vanishing() {
        return VANISHINGS[vanishing];
    }

    public void toggleClick() {
        click = !click;
        said(click ? "The click is heard." : "The click counts in, then you are alone.");
    }

    public void nextVanishing() {
        vanishing = (vanishing + 1) % VANISHINGS.length;
        said(PracticeWords.of(vanishing()));
    }

    public void nextWho() {
        who = who.next(second.getAsBoolean());
        said("You hear " + who.words() + ".");
    }

    public void nextCountIn() {
        countIn = (countIn + 1) % 3;
        said(
                countIn == 0
                        ? "No count-in."
                        : countIn == 1 ? "One bar counted in." : "Two bars counted in.");
    }

    public void nextFinest() {
        finest = (finest + 1) % FINEST.length;
        changed.run();
    }

    public void otherPart() {
        if (!second.getAsBoolean()) {
            session.say("The second guitar does not play along (B).");
            return;
        }
        secondShown = !secondShown;
        changed.run();
    }

    private void said(String words) {
        heardOtherwise.run();
        session.say(words);
        changed.run();
    }
}
