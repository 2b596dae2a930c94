package vocalis.desktop;

import java.util.function.Supplier;
import javafx.beans.property.BooleanProperty;
import javafx.scene.input.KeyCode;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Finding;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Session;
import vocalis.desktop.session.Viewport;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.sheets.ListenSheets;
import vocalis.desktop.sounding.AlongSheet;
import vocalis.desktop.sounding.OutputSheet;
import vocalis.desktop.sounding.ToneSheet;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WritePlace;
import vocalis.sound.device.AudioOutput;

/** The commands of the window around the screens. */
final class FrameCommands {

    private final Commands commands;
    private final Models models;
    private final Session session;
    private final Whereabouts whereabouts;
    private final Supplier<Sheets> host;
    private final Around frame;

    /** What the commands do to the window around the screens. */
    interface Around {
        /** Out again, a step towards the chords. */
        void leave();

        Finding finding();

        /** To a place of the screen that is shown, or of another. */
        void go(Place place);

        /** To a place, and out of beginning. */
        void lead(Place place);

        void callBegin();

        /** The next (last) place of the Write screen. */
        void place(int by);

        void explain();

        /** To the first field of the ground. */
        void toGround();
    }

    private FrameCommands(Commands commands, Models models, Supplier<Sheets> host, Around frame) {
        this.commands = commands;
        this.models = models;
        session = models.session();
        whereabouts = models.whereabouts();
        this.host = host;
        this.frame = frame;
    }

    /** Adds them to a registry. */
    static void addTo(Commands commands, Models models, Supplier<Sheets> host, Around frame) {
        FrameCommands f = new FrameCommands(commands, models, host, frame);
        f.everywhere();
        f.sound();
        f.view();
        f.ground();
    }

    /** The keys that are held. */
    static void holds(Keyboard keyboard, Whereabouts whereabouts) {
        keyboard.hold(
                KeyCode.H, null, () -> whereabouts.screen().beginHearing(whereabouts.place()));
        keyboard.endHold(() -> whereabouts.screen().endHearing());
    }

    private void everywhere() {
        commands.add("play", "play the loop, stop it")
                .keys("SPACE")
                .inSheets()
                .does(() -> whereabouts.screen().togglePlay());
        commands.add("leave", "out again, back to the chords").keys("ESCAPE").does(frame::leave);
        commands.add("search", "find any command").keys("F3").does(frame.finding()::open);
        commands.add("write", "Write: chords, rhythm, shapes")
                .keys("F5")
                .does(() -> frame.go(WritePlace.BAND));
        commands.add("undo", "undo")
                .keys("ctrl Z")
                .repeats()
                .inSheets()
                .does(session.workspace()::undo);
        commands.add("redo", "redo")
                .keys("ctrl shift Z", "ctrl Y")
                .repeats()
                .inSheets()
                .does(session.workspace()::redo);
        commands.add("to-rhythm", "the rhythm: strokes, palm mutes, accents")
                .does(() -> frame.lead(WritePlace.LANE));
        commands.add("begin", "begin: type roots, lay a rhythm, find a drone, start from a shape")
                .does(frame::callBegin);
        commands.add("next-place", "next place: chords, rhythm, shapes, neck, ground")
                .keys("ctrl TAB")
                .does(() -> frame.place(1));
        commands.add("place-before", "place before")
                .keys("ctrl shift TAB")
                .does(() -> frame.place(-1));
        commands.add("explain", "explain what is here")
                .keys("shift SLASH", "SLASH", "ctrl F1")
                .does(frame::explain);
    }

    private void sound() {
        AudioOutput output = session.player().output();
        commands.add("mute", "mute, or let it sound")
                .keys("ctrl M")
                .inSheets()
                .does(() -> output.mute(!output.muted()));
        commands.add("tone", "tone: amplifier, pickup, pick")
                .does(() -> ToneSheet.show(session, host.get()));
        commands.add("along", "the band: second guitar, bass, kit, click")
                .keys("W")
                .does(() -> AlongSheet.show(session, host.get()));
        commands.add("tune", "strings to tune by")
                .keys("F4")
                .does(() -> ListenSheets.tune(models.write(), host.get()));
        commands.add("output", "where the sound goes")
                .does(() -> OutputSheet.show(session, models.hearing(), host.get()));
    }

    private void view() {
        Viewport view = session.caret().view();
        commands.add("zoom-in", "fewer bars on the screen")
                .keys("ctrl PLUS", "ctrl EQUALS", "ctrl ADD")
                .does(() -> view.zoom(-1));
        commands.add("zoom-out", "more bars on the screen")
                .keys("ctrl MINUS", "ctrl SUBTRACT")
                .does(() -> view.zoom(1));
        commands.add("page-on", "next page of bars")
                .keys("PAGE_DOWN")
                .repeats()
                .does(() -> view.page(1));
        commands.add("page-back", "page of bars before")
                .keys("PAGE_UP")
                .repeats()
                .does(() -> view.page(-1));
        BooleanProperty follow = view.followProperty();
        commands.add("follow", "turn the page with what plays, or stay")
                .does(() -> follow.set(!follow.get()));
    }

    private void ground() {
        commands.add("ground-fields", "the ground: tuning, capo, key, tempo, meter, tone")
                .in(Whereabouts.Around.GROUND)
                .brief("Ground: Tab next field · letters find, ↑ ↓ change · Esc back to the chords")
                .does(frame::toGround);
    }
}
