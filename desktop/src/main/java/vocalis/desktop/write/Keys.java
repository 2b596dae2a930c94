package vocalis.desktop.write;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import vocalis.core.riff.Manner;
import vocalis.core.voicing.Family;

/**
 * The keyboard: one table of bindings that the keys obey and the help sheet shows. A binding holds
 * in one zone or everywhere; a zone's own come first. Space only ever plays and stops; Enter goes
 * in, Esc out; H held hears.
 */
public final class Keys {

    /** What the unshifted digit row types on a French layout. */
    private static final Map<String, Integer> AZERTY =
            Map.of("&", 1, "é", 2, "\"", 3, "'", 4, "(", 5, "-", 6, "è", 7, "_", 8, "ç", 9, "à", 0);

    /**
     * One key.
     *
     * @param zone where it holds; null for everywhere
     * @param code key
     * @param ctrl with Ctrl
     * @param shift with Shift
     * @param alt with Alt
     * @param does what it does, for the help sheet; empty for a second key to the same end
     * @param action what it does
     */
    public record Binding(
            Zone zone,
            KeyCode code,
            boolean ctrl,
            boolean shift,
            boolean alt,
            String does,
            Runnable action) {

        public boolean matches(KeyEvent e) {
            return e.getCode() == code
                    && e.isShortcutDown() == ctrl
                    && e.isShiftDown() == shift
                    && e.isAltDown() == alt;
        }

        /** As the help sheet prints it. */
        public String keys() {
            String name =
                    switch (code) {
                        case LEFT -> "←";
                        case RIGHT -> "→";
                        case UP -> "↑";
                        case DOWN -> "↓";
                        case ESCAPE -> "Esc";
                        default -> code.getName();
                    };
            return (ctrl ? "Ctrl " : "") + (shift ? "Shift " : "") + (alt ? "Alt " : "") + name;
        }
    }

    /** What the screen does that is not the model's alone. */
    interface Actions {
        void leave();

        void find();

        void filter();

        void keepShape();

        void ownShapes();

        void idleFingers();

        void compare();

        void droneMap();

        void bassSweep();

        void modeFinder();

        void embellish();

        void prove();

        void tone();

        void band();

        void output();

        void tune();
    }

    private final WriteModel model;
    private final Runnable ownShapes;
    private final List<Binding> bindings = new ArrayList<>();

    Keys(WriteModel model, Actions actions) {
        this.model = model;
        this.ownShapes = actions::ownShapes;
        band();
        lane(actions);
        cards();
        neck();
        everywhere(actions);
    }

    public List<Binding> bindings() {
        return List.copyOf(bindings);
    }

    /** Adds a binding that holds everywhere. */
    public void add(KeyCode code, boolean ctrl, boolean shift, String does, Runnable action) {
        bindings.add(new Binding(null, code, ctrl, shift, false, does, action));
    }

    private void in(Zone zone, KeyCode code, String mods, String does, Runnable action) {
        bindings.add(
                new Binding(
                        zone,
                        code,
                        mods.contains("ctrl"),
                        mods.contains("shift"),
                        mods.contains("alt"),
                        does,
                        action));
    }

    private void band() {
        Zone z = Zone.BAND;
        in(z, KeyCode.LEFT, "", "previous chord", () -> model.moveChordCaret(-1));
        in(z, KeyCode.RIGHT, "", "next chord", () -> model.moveChordCaret(1));
        in(z, KeyCode.UP, "", "root up a step of the scale", () -> model.chords().stepRoot(1));
        in(z, KeyCode.DOWN, "", "root down a step of the scale", () -> model.chords().stepRoot(-1));
        in(z, KeyCode.UP, "alt", "root up a semitone", () -> model.chords().transposeRoot(1));
        in(z, KeyCode.DOWN, "alt", "root down a semitone", () -> model.chords().transposeRoot(-1));
        in(z, KeyCode.LEFT, "alt", "move the chord earlier", () -> model.chords().moveChord(-1));
        in(z, KeyCode.RIGHT, "alt", "move the chord later", () -> model.chords().moveChord(1));
        in(z, KeyCode.LEFT, "shift", "shorten the chord", () -> model.chords().lengthenChord(-1));
        in(z, KeyCode.RIGHT, "shift", "lengthen the chord", () -> model.chords().lengthenChord(1));
        in(
                z,
                KeyCode.UP,
                "shift",
                "another bass under it, a step up",
                () -> model.chords().stepBass(1));
        in(
                z,
                KeyCode.DOWN,
                "shift",
                "another bass under it, a step down",
                () -> model.chords().stepBass(-1));
        in(z, KeyCode.D, "ctrl", "copy the chord", model.chords()::copyChord);
        in(z, KeyCode.K, "ctrl", "split the chord in two", model.chords()::splitChord);
        in(z, KeyCode.DELETE, "", "delete the chord", model.chords()::deleteChord);
        in(z, KeyCode.BACK_SPACE, "", "", model.chords()::deleteChord);
        in(
                z,
                KeyCode.ENTER,
                "",
                "go in to its voicings",
                () -> model.zoneProperty().set(Zone.CARDS));
    }

    private void lane(Actions actions) {
        Zone z = Zone.LANE;
        in(z, KeyCode.LEFT, "", "a sixteenth back", () -> model.lane().moveCaret(-1));
        in(z, KeyCode.RIGHT, "", "a sixteenth on", () -> model.lane().moveCaret(1));
        in(z, KeyCode.LEFT, "ctrl", "previous stroke", () -> model.lane().moveToStroke(-1));
        in(z, KeyCode.RIGHT, "ctrl", "next stroke", () -> model.lane().moveToStroke(1));
        in(z, KeyCode.ENTER, "", "put a stroke here, or take it away", model.lane()::toggleStroke);
        in(z, KeyCode.DELETE, "", "delete the stroke", model.lane()::deleteStroke);
        in(z, KeyCode.BACK_SPACE, "", "", model.lane()::deleteStroke);
        in(z, KeyCode.UP, "", "strike other voices", () -> model.lane().cycleStruck(1));
        in(z, KeyCode.DOWN, "", "", () -> model.lane().cycleStruck(-1));
        in(z, KeyCode.M, "", "palm mute", model.lane()::toggleMute);
        in(z, KeyCode.M, "shift", "palm mute by degrees", model.lane()::cyclePalm);
        in(z, KeyCode.X, "", "dead note", () -> model.lane().play(Manner.DEAD));
        in(
                z,
                KeyCode.E,
                "",
                "embellish: hammer, pull, slide, bend, let ring …",
                actions::embellish);
        in(z, KeyCode.A, "", "accent", model.lane()::toggleAccent);
        in(z, KeyCode.RIGHT, "shift", "lengthen the stroke", () -> model.lane().lengthenStroke(1));
        in(z, KeyCode.LEFT, "shift", "shorten the stroke", () -> model.lane().lengthenStroke(-1));
        in(
                z,
                KeyCode.UP,
                "alt",
                "its top note a fret up, here only",
                () -> model.lane().changeNote(1));
        in(
                z,
                KeyCode.DOWN,
                "alt",
                "its top note a fret down, here only",
                () -> model.lane().changeNote(-1));
    }

    private void cards() {
        Zone z = Zone.CARDS;
        in(z, KeyCode.LEFT, "", "previous shape", () -> model.moveCard(-1));
        in(z, KeyCode.RIGHT, "", "next shape", () -> model.moveCard(1));
        in(z, KeyCode.UP, "", "the shape in its next place", () -> model.movePlace(1));
        in(z, KeyCode.DOWN, "", "the shape in its place before", () -> model.movePlace(-1));
        in(z, KeyCode.ENTER, "", "put it into the riff", model::useShown);
    }

    private void neck() {
        Zone z = Zone.NECK;
        in(z, KeyCode.LEFT, "", "a fret lower", () -> model.moveNeckCaret(0, side(-1)));
        in(z, KeyCode.RIGHT, "", "a fret higher", () -> model.moveNeckCaret(0, side(1)));
        in(z, KeyCode.UP, "", "next higher string", () -> model.moveNeckCaret(1, 0));
        in(z, KeyCode.DOWN, "", "next lower string", () -> model.moveNeckCaret(-1, 0));
        in(z, KeyCode.ENTER, "", "sound this fret, or silence it", this::toggleAtCaret);
        in(z, KeyCode.X, "", "silence the string", this::silenceAtCaret);
        in(z, KeyCode.ENTER, "ctrl", "put the shape into the riff", model::useShown);
    }

    private int side(int by) {
        return model.riff().ground().instrument().leftHanded() ? -by : by;
    }

    private void toggleAtCaret() {
        model.toggleFret(model.neckStringProperty().get(), model.neckFretProperty().get());
    }

    private void silenceAtCaret() {
        model.silenceString(model.neckStringProperty().get());
    }

    private void everywhere(Actions actions) {
        add(KeyCode.SPACE, false, false, "play the loop, stop it", model.hearing()::togglePlay);
        add(KeyCode.ESCAPE, false, false, "out again, back to the chords", actions::leave);
        add(
                KeyCode.V,
                false,
                false,
                "the whole riff in the next family",
                () -> model.chords().voiceAllNext(1));
        add(
                KeyCode.V,
                false,
                true,
                "the whole riff in the family before",
                () -> model.chords().voiceAllNext(-1));
        add(
                KeyCode.N,
                false,
                false,
                "note names or degrees",
                () -> flip(model.noteNamesProperty()));
        add(
                KeyCode.S,
                false,
                false,
                "the scale on the neck",
                () -> flip(model.scaleStepsProperty()));
        add(KeyCode.F, true, false, "find a shape, a name or notes", actions::find);
        add(KeyCode.L, true, false, "filter the voicings", actions::filter);
        add(KeyCode.B, true, false, "keep the shape shown as your own", actions::keepShape);
        add(KeyCode.DIGIT0, false, false, "your own shapes on this root", actions::ownShapes);
        thin(KeyCode.DIGIT1, 1, "leave out the top voice");
        thin(KeyCode.DIGIT2, 2, "leave out the second voice from the top");
        thin(KeyCode.DIGIT3, 3, "leave out the third voice from the top");
        thin(KeyCode.DIGIT4, 4, "leave out the fourth voice from the top");
        add(KeyCode.P, false, false, "next page of the readout", model::nextPage);
        add(
                KeyCode.R,
                false,
                false,
                "the numbers behind the heard root",
                () -> flip(model.supportProperty()));
        add(KeyCode.U, false, false, "prove the root: power chords under it", actions::prove);
        add(
                KeyCode.J,
                false,
                false,
                "thirds pure or tempered",
                () -> flip(model.gain().pureProperty()));
        add(KeyCode.T, false, false, "tone: amplifier, pickup, pick", actions::tone);
        add(KeyCode.W, false, false, "who plays along", actions::band);
        add(KeyCode.F4, false, false, "strings to tune by", actions::tune);
        add(KeyCode.F5, false, false, "where the sound goes", actions::output);
        add(
                KeyCode.M,
                true,
                false,
                "mute, or let it sound",
                () -> model.player().output().mute(!model.player().output().muted()));
        add(KeyCode.I, false, false, "what the idle fingers can add", actions::idleFingers);
        add(KeyCode.C, false, false, "set this voicing beside others", actions::compare);
        add(KeyCode.D, false, false, "which open strings suit which key", actions::droneMap);
        add(KeyCode.B, false, false, "the shape over the twelve basses", actions::bassSweep);
        add(KeyCode.K, false, false, "which keys the riff's notes fit", actions::modeFinder);
        add(KeyCode.Z, true, false, "undo", model.workspace()::undo);
        add(KeyCode.Z, true, true, "redo", model.workspace()::redo);
        add(KeyCode.Y, true, false, "", model.workspace()::redo);
        add(
                KeyCode.F6,
                false,
                false,
                "next place: chords, lane, cards, neck, ground",
                () -> cycle(1));
        add(KeyCode.F6, false, true, "place before", () -> cycle(-1));
    }

    private void thin(KeyCode digit, int voice, String does) {
        in(null, digit, "alt", does, () -> model.thin(voice));
    }

    private void cycle(int direction) {
        Zone[] order = {Zone.BAND, Zone.LANE, Zone.CARDS, Zone.NECK, Zone.GROUND};
        int now = List.of(order).indexOf(model.zoneProperty().get());
        model.zoneProperty().set(order[Math.floorMod(now + direction, order.length)]);
    }

    private static void flip(javafx.beans.property.BooleanProperty p) {
        p.set(!p.get());
    }

    /** Obeys the keys of a scene. */
    void install(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        scene.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
        scene.addEventFilter(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H || e.getCode() == KeyCode.M) {
                        model.hearing().endHearing();
                    }
                });
    }

    private static boolean types(KeyEvent e) {
        return e.getTarget() instanceof TextInputControl t && t.isEditable();
    }

    private static boolean typesWords(KeyEvent e) {
        return types(e) && !inSpinner((Node) e.getTarget());
    }

    private static boolean inSpinner(Node n) {
        return n.getParent() instanceof javafx.scene.control.Spinner;
    }

    private void typed(KeyEvent e) {
        boolean space = " ".equals(e.getCharacter());
        if (space && !typesWords(e)) {
            e.consume();
        }
    }

    private void pressed(KeyEvent e) {
        boolean plain = !e.isShortcutDown() && !e.isAltDown();
        boolean escapes = e.getCode() == KeyCode.ESCAPE;
        if (typesWords(e) && !escapes
                || (types(e)
                        && plain
                        && e.getCode() != KeyCode.SPACE
                        && e.getCode() != KeyCode.ESCAPE)) {
            return;
        }
        if (e.getTarget() instanceof Node n && ownsArrows(n) && e.getCode().isArrowKey()) {
            return;
        }
        if (plain && e.getCode() == KeyCode.H) {
            model.hearing().beginHearing();
            e.consume();
            return;
        }
        if (plain && e.getCode() == KeyCode.M && model.zoneProperty().get() == Zone.NECK) {
            model.hearing().beginHearingMiss(model.neckStringProperty().get());
            e.consume();
            return;
        }
        if (plain && digit(e).equals(Optional.of(0))) {
            ownShapes.run();
            e.consume();
            return;
        }
        Optional<Family> family = digit(e).flatMap(Family::ofDigit);
        if (family.isPresent() && !e.isAltDown()) {
            chooseFamily(e, family.get());
            e.consume();
            return;
        }
        Zone zone = model.zoneProperty().get();
        find(e, zone)
                .ifPresent(
                        b -> {
                            b.action().run();
                            e.consume();
                        });
    }

    private static boolean ownsArrows(Node n) {
        return n instanceof javafx.scene.control.ComboBox
                || n instanceof javafx.scene.control.Slider
                || n instanceof javafx.scene.control.Spinner
                || inSpinner(n);
    }

    private Optional<Binding> find(KeyEvent e, Zone zone) {
        Optional<Binding> own =
                bindings.stream().filter(b -> b.zone() == zone && b.matches(e)).findFirst();
        return own.isPresent()
                ? own
                : bindings.stream().filter(b -> b.zone() == null && b.matches(e)).findFirst();
    }

    private void chooseFamily(KeyEvent e, Family family) {
        if (e.isShortcutDown()) {
            model.chords().voiceAll(family);
        } else if (model.zoneProperty().get() == Zone.CARDS
                || model.zoneProperty().get() == Zone.NECK) {
            model.browse(family);
        } else {
            model.chords().voiceChord(family);
        }
    }

    /** The digit of a key: of the row, the number pad, or what the row types on a French layout. */
    static Optional<Integer> digit(KeyEvent e) {
        if (e.getCode().isDigitKey() && !e.isShiftDown()) {
            String name = e.getCode().getName();
            return Optional.of(name.charAt(name.length() - 1) - '0');
        }
        if (!e.isShiftDown() && AZERTY.containsKey(e.getText())) {
            return Optional.of(AZERTY.get(e.getText()));
        }
        return Optional.empty();
    }

    /** The line that says what the keys mean in a zone. */
    static String status(Zone zone) {
        return switch (zone) {
            case BAND ->
                    "Chords: ←→  choose · ↑↓  root · 1 to 9 voice this chord · Ctrl 1 to 9 the whole riff"
                            + " · Enter voicings";
            case LANE ->
                    "Lane: ←→  step · Enter stroke · ↑↓  voices struck · M palm mute · A accent · E embellish"
                            + " · Shift ←→  length";
            case CARDS ->
                    "Voicings: ←→  shape · ↑↓  place on the neck · 1 to 9 other family · Enter put it into"
                            + " the riff · Esc out";
            case NECK ->
                    "Neck: arrows move · Enter sound or silence · X silence · M held hears it ring · Ctrl Enter put it"
                            + " into the riff · Esc out";
            case GROUND -> "Ground: Tab next field · ↑↓  change it · Esc back to the chords";
        };
    }

    /** The help sheet's sections: zone name to rows of keys and meaning. */
    public void sheet(Consumer<String> section, java.util.function.BiConsumer<String, String> row) {
        section.accept("Everywhere");
        row.accept("H held", "hear what the caret is on, until released");
        row.accept("1 to 9", "voice the chord in that family; among voicings, show it");
        row.accept("Ctrl 1 to 9", "the whole riff in that family");
        row.accept("M held", "on the neck: with the caret's silenced string let ring");
        rows(null, row);
        Map<Zone, String> names =
                Map.of(
                        Zone.BAND,
                        "Chords",
                        Zone.LANE,
                        "Lane",
                        Zone.CARDS,
                        "Voicings",
                        Zone.NECK,
                        "Neck");
        for (Zone z : List.of(Zone.BAND, Zone.LANE, Zone.CARDS, Zone.NECK)) {
            section.accept(names.get(z));
            rows(z, row);
        }
    }

    private void rows(Zone zone, java.util.function.BiConsumer<String, String> row) {
        for (Binding b :
                bindings.stream().filter(x -> x.zone() == zone).collect(Collectors.toList())) {
            if (!b.does().isEmpty()) {
                row.accept(b.keys(), b.does());
            }
        }
    }
}
