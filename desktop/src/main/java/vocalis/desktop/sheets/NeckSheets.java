package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vocalis.core.choice.Fingers;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.vary.HeldDrones;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.HandWords;

/** Sheets about the neck: fingers, strings that ring through, scales under the hand. */
public final class NeckSheets {

    private NeckSheets() {}

    /** The ways to hold the shape of the chord under the caret; what is chosen is kept. */
    public static void fingers(WriteModel model, Sheets host) {
        int chord = model.caret().chord();
        Derived.Chord here = model.derived().chords().get(chord);
        Shape shape = here.candidate().voicing().shape();
        var session = model.session();
        if (shape.lowestFretted() == 0) {
            session.say("Open strings alone: no finger is down on this chord.");
            return;
        }
        boolean own = session.now().treatments().get(chord).fingers().isPresent();
        List<PickSheet.Row> rows = new ArrayList<>();
        rows.add(
                new PickSheet.Row(
                        "As the way has it" + (own ? "" : "  ✓"),
                        "the fingers that suit the chords before and after",
                        () -> {},
                        () -> session.apply(Edits.fingers(chord, Optional.empty())),
                        null));
        for (Fingering f :
                Fingers.alternatives(here.candidate().voicing().board(), shape, session.hand())) {
            List<Integer> each = Fingers.onStrings(f, shape);
            boolean now = own && f.equals(here.candidate().fingering());
            String muting = HandWords.of(Muting.of(shape, f));
            rows.add(
                    new PickSheet.Row(
                            HandWords.of(f) + (now ? "  ✓" : ""),
                            muting.isEmpty() ? "nothing to silence" : muting,
                            () -> {},
                            () -> session.apply(Edits.fingers(chord, Optional.of(each))),
                            null));
        }
        PickSheet.show(
                host,
                "Fingers for " + shape.text(),
                "↑ ↓ choose, Enter keeps it for this chord: finger and fret, then what silences what.",
                "No hand holds this shape.",
                rows,
                () -> {});
    }

    /** Open strings that ring through the riff, each with what it is to every root. */
    public static void drones(WriteModel model, Sheets host) {
        Derived derived = model.derived();
        model.session()
                .ask(
                        "looking for strings that ring",
                        () -> HeldDrones.of(derived, model.session().catalogue()),
                        offers -> drones(model, host, derived, offers));
    }

    private static void drones(
            WriteModel model, Sheets host, Derived derived, List<HeldDrones.Offer> offers) {
        if (!model.session().now().equals(derived.riff())) {
            model.session().say("The riff was changed meanwhile; ask for ringing strings again.");
            return;
        }
        List<PickSheet.Row> rows = offers.stream().map(o -> drone(model, derived, o)).toList();
        PickSheet.show(
                host,
                "Strings that ring through",
                "The strings ring in every chord, the fingers arched over them; all else is silent."
                        + " Hold H to hear, Enter voices the riff so.",
                "",
                rows,
                model.hearing()::endPreview);
    }

    /** A row to choose, or one that says which root has no shape under the strings. */
    private static PickSheet.Row drone(WriteModel model, Derived derived, HeldDrones.Offer o) {
        String name = strings(derived, o);
        String roots =
                rubs(o) + roots(derived, o, model.key()) + elsewhere(o, model.riff().ground());
        if (o.riff().isEmpty()) {
            int root = derived.chords().get(o.without()).root();
            String none = "no shape under " + model.key().say(root).symbol();
            return new PickSheet.Row(
                    name + ": " + none,
                    roots,
                    () -> {},
                    () -> model.session().say(name + ": " + none + ". The riff stays as it is."),
                    null);
        }
        Riff rung = o.riff().get();
        return new PickSheet.Row(
                name,
                roots,
                () -> model.hearing().preview(rung),
                () -> model.session().apply(Edits.riff("strings that ring", r -> rung)),
                null);
    }

    private static String strings(Derived d, HeldDrones.Offer o) {
        var board = d.riff().ground().board();
        return o.strings().stream()
                .map(
                        s ->
                                Spelling.plain(board.midi(s, 0)).symbol()
                                        + " (string "
                                        + (board.strings() - s)
                                        + ")")
                .collect(Collectors.joining(" and "));
    }

    private static String rubs(HeldDrones.Offer o) {
        return o.rubs() == 0 ? "" : o.rubs() == 1 ? "rubs once; " : "rubs " + o.rubs() + " times; ";
    }

    /** Which families they spoil; in which keys, and with which capos, they would rub nowhere. */
    private static String elsewhere(HeldDrones.Offer o, Ground ground) {
        Key key = ground.key();
        String keys =
                o.transpositions().stream()
                        .map(t -> key.say(key.tonic().pitchClass() + t).symbol())
                        .collect(Collectors.joining(", "));
        String capos =
                o.capos().stream()
                        .map(k -> String.valueOf(k + ground.capo()))
                        .collect(Collectors.joining(", "));
        String spoiled =
                o.spoiled().stream()
                        .map(f -> f.label().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining(", "));
        return (spoiled.isEmpty() ? "" : "; spoils " + spoiled)
                + (keys.isEmpty() ? "" : "; clear too in " + keys)
                + (capos.isEmpty() ? "" : "; with a capo at " + capos);
    }

    /** Such as {@code A: 5 and 9, F: 7 and 3}, each root once. */
    private static String roots(Derived d, HeldDrones.Offer o, Key key) {
        return IntStream.range(0, d.chords().size())
                .mapToObj(
                        i ->
                                key.say(d.chords().get(i).root()).symbol()
                                        + ": "
                                        + o.degrees().get(i).stream()
                                                .map(Degree::symbol)
                                                .collect(Collectors.joining(" and ")))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    /** Scales to look at on the neck; the riff stays in its own key. */
    public static void scales(WriteModel model, Sheets host) {
        Key own = model.key();
        List<PickSheet.Row> rows = new ArrayList<>();
        rows.add(scale(model, "The riff's own: " + own.symbol(), Optional.empty(), own));
        for (Mode mode : Mode.builtIn()) {
            Key k = new Key(own.tonic(), mode);
            if (!k.equals(own)) {
                rows.add(scale(model, k.symbol(), Optional.of(k), k));
            }
        }
        PickSheet.show(
                host,
                "A scale on the neck",
                "↑ ↓ choose, Enter shows it on the neck beside the riff's chords. The riff's key stays.",
                "",
                rows,
                () -> {});
    }

    private static PickSheet.Row scale(
            WriteModel model, String name, Optional<Key> shown, Key key) {
        boolean now = model.looks().scale().get().equals(shown) && model.looks().scaleSteps().get();
        return new PickSheet.Row(
                name + (now ? "  ✓" : ""),
                key.scale().stream().map(Spelling::symbol).collect(Collectors.joining("  ")),
                () -> {},
                () -> {
                    model.looks().scale().set(shown);
                    model.looks().scaleSteps().set(true);
                },
                null);
    }
}
