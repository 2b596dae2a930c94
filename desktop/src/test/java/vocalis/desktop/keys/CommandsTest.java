package vocalis.desktop.keys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.WritePlace;

/** Keys as they are written, pressed and printed, and the registry that finds their commands. */
class CommandsTest {

    private final List<String> done = new ArrayList<>();
    private final Commands commands = new Commands();

    @BeforeEach
    void some() {
        commands.add("play", "play or stop").keys("SPACE").does(() -> done.add("play"));
        commands.add("root-up", "root up")
                .in(WritePlace.BAND)
                .keys("UP")
                .brief("↑ root")
                .repeats()
                .does(() -> done.add("root-up"));
        commands.add("voices-up", "more voices")
                .in(WritePlace.LANE)
                .keys("UP", "K")
                .brief("↑ voices")
                .does(() -> done.add("voices-up"));
        commands.add("family-1", "power chord").keys("1").does(() -> done.add("family-1"));
        commands.add("own-one", "the first of mine")
                .in(WritePlace.NECK)
                .keys("1")
                .does(() -> done.add("own-one"));
    }

    private static KeyEvent pressed(KeyCode code, String text, boolean shift) {
        return new KeyEvent(KeyEvent.KEY_PRESSED, text, text, code, shift, false, false, false);
    }

    /** Help tells places as they were named, the same at every start. */
    @Test
    void placesKeepTheOrderInWhichTheyWereNamed() {
        WritePlace[] all = WritePlace.values();
        for (int turn = 0; turn < all.length; turn++) {
            List<Place> named = new ArrayList<>(List.of(all));
            Collections.rotate(named, turn);
            Commands some = new Commands();
            some.add("everywhere", "x").in(named.toArray(Place[]::new)).does(() -> {});
            assertThat(some.places()).isEqualTo(named);
        }
    }

    @Test
    void writtenKeysAreRead() {
        assertThat(Combo.of("ctrl shift S")).isEqualTo(new Combo(KeyCode.S, true, true, false));
        assertThat(Combo.of("alt 3")).isEqualTo(new Combo(KeyCode.DIGIT3, false, false, true));
        assertThat(Combo.of("PAGE_DOWN").code()).isEqualTo(KeyCode.PAGE_DOWN);
        assertThatThrownBy(() -> Combo.of("ctrl NOKEY"))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Row and number pad are one; so is the unshifted digit row of a French layout. */
    @Test
    void digitsAreOneWhereverTheyArePressed() {
        for (int d = 0; d <= 9; d++) {
            Combo digit = Combo.of(String.valueOf(d));
            KeyCode row = KeyCode.valueOf("DIGIT" + d);
            KeyCode pad = KeyCode.valueOf("NUMPAD" + d);
            assertThat(Combo.of(pressed(row, String.valueOf(d), false))).isEqualTo(digit);
            assertThat(Combo.of(pressed(pad, String.valueOf(d), false))).isEqualTo(digit);
        }
        // The row types & for 1 and à for 0 (AZERTY, from memory).
        assertThat(Combo.of(pressed(KeyCode.AMPERSAND, "&", false))).isEqualTo(Combo.of("1"));
        assertThat(Combo.of(pressed(KeyCode.UNDEFINED, "à", false))).isEqualTo(Combo.of("0"));
    }

    @Test
    void keysArePrintedAsTheyStandOnTheKeyboard() {
        assertThat(Combo.of("ctrl shift LEFT").printed()).isEqualTo("Ctrl Shift ←");
        assertThat(Combo.of("alt UP").printed()).isEqualTo("Alt ↑");
        assertThat(Combo.of("ESCAPE").printed()).isEqualTo("Esc");
        assertThat(Combo.of("ctrl EQUALS").printed()).isEqualTo("Ctrl +");
        assertThat(Combo.of("shift SLASH").printed()).isEqualTo("?");
        assertThat(Combo.of("F10").printed()).isEqualTo("F10");
    }

    @Test
    void aPlacesOwnKeyGoesBeforeTheCommonOne() {
        assertThat(commands.find(Combo.of("1"), WritePlace.NECK))
                .map(Command::id)
                .contains("own-one");
        assertThat(commands.find(Combo.of("1"), WritePlace.BAND))
                .map(Command::id)
                .contains("family-1");
        assertThat(commands.find(Combo.of("UP"), WritePlace.BAND))
                .map(Command::id)
                .contains("root-up");
        assertThat(commands.find(Combo.of("UP"), WritePlace.LANE))
                .map(Command::id)
                .contains("voices-up");
        assertThat(commands.find(Combo.of("K"), WritePlace.LANE))
                .map(Command::id)
                .contains("voices-up");
        assertThat(commands.find(Combo.of("UP"), WritePlace.CARDS)).isEmpty();
        assertThat(commands.find(Combo.of("shift UP"), WritePlace.BAND)).isEmpty();
        assertThat(commands.everywhere(Combo.of("UP"))).isEmpty();
        assertThat(commands.everywhere(Combo.of("SPACE"))).map(Command::id).contains("play");
    }

    @Test
    void theStatusLineSaysTheBriefOnesOfItsPlace() {
        assertThat(commands.status(WritePlace.BAND)).isEqualTo("↑ root");
        assertThat(commands.status(WritePlace.LANE)).isEqualTo("↑ voices");
        assertThat(commands.status(WritePlace.NECK)).isEmpty();
    }

    /** A place's own key may stand before the common one; two in one place may not. */
    @Test
    void noKeyIsAskedForTwiceInOnePlace() {
        assertThatThrownBy(
                        () ->
                                commands.add("again", "")
                                        .in(WritePlace.LANE)
                                        .keys("K")
                                        .does(() -> {}))
                .hasMessageContaining("voices-up")
                .hasMessageContaining("again");
        assertThatThrownBy(() -> commands.add("again", "").keys("SPACE").does(() -> {}))
                .hasMessageContaining("play");
        commands.add("elsewhere", "more voices, here too")
                .in(WritePlace.NECK)
                .keys("K")
                .means("more voices")
                .does(() -> {});
        // Arrows and digits say what their place says.
        commands.add("fret-up", "a string up").in(WritePlace.NECK).keys("UP").does(() -> {});
    }

    /** A letter that meant another thing on another screen is refused when the program starts. */
    @Test
    void aKeyHasOneMeaning() {
        assertThatThrownBy(
                        () ->
                                commands.add("keep", "keep the shape")
                                        .in(WritePlace.CARDS)
                                        .keys("K")
                                        .does(() -> {}))
                .hasMessageContaining("more voices")
                .hasMessageContaining("keep the shape");
    }

    @Test
    void idsAreOneOfAKind() {
        assertThatThrownBy(() -> commands.add("play", "again"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("play");
        assertThatThrownBy(() -> commands.get("nothing")).hasMessageContaining("nothing");
        commands.get("root-up").action().run();
        assertThat(done).containsExactly("root-up");
        assertThat(commands.get("root-up").repeats()).isTrue();
        assertThat(commands.get("play").repeats()).isFalse();
    }
}
