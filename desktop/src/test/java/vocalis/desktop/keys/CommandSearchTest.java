package vocalis.desktop.keys;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.WritePlace;

/** What is typed finds the command that is meant, by any of its words. */
class CommandSearchTest {

    private final Commands commands = new Commands();
    private final OtherWords other =
            OtherWords.read("# for tests\nsoft | quiet ghost\nroot-* | note pitch\nhelp | manual");

    @BeforeEach
    void some() {
        commands.add("soft", "softer").in(WritePlace.LANE).keys("shift DOWN").does(() -> {});
        commands.add("root-1", "root up").in(WritePlace.BAND).keys("UP").does(() -> {});
        commands.add("root-2", "root up by two").partOf("root-1").does(() -> {});
        commands.add("help", "help").keys("F1").does(() -> {});
        commands.add("export", "export the riff").keys("ctrl E").does(() -> {});
    }

    private List<String> found(String typed, Place here, Map<String, Integer> used) {
        return new CommandSearch(commands, other, used)
                .find(typed, here).stream().map(Command::id).toList();
    }

    private List<String> found(String typed) {
        return found(typed, WritePlace.BAND, Map.of());
    }

    @Test
    void byNameByOtherWordsAndByKey() {
        assertThat(found("soft")).first().isEqualTo("soft");
        assertThat(found("quiet")).containsExactly("soft");
        assertThat(found("GHO")).containsExactly("soft");
        assertThat(found("pitch")).containsExactly("root-1");
        assertThat(found("f1")).first().isEqualTo("help");
        assertThat(found("ctrl e")).first().isEqualTo("export");
        assertThat(found("riff exp")).containsExactly("export");
        assertThat(found("nonsense")).isEmpty();
    }

    /** A whole sentence finds what has most of its words; what fills it says nothing. */
    @Test
    void aSentenceFindsWhatHasMostOfItsWords() {
        assertThat(found("make it a note softer")).first().isEqualTo("soft");
        assertThat(found("read the manual")).containsExactly("help");
        assertThat(found("open the manual")).containsExactly("help");
        assertThat(found("the")).first().isEqualTo("export");
        assertThat(found("make it nonsense")).isEmpty();
    }

    /** One of a row of keys is not told beside the others. */
    @Test
    void aRowOfKeysIsFoundOnce() {
        assertThat(found("root")).containsExactly("root-1");
    }

    @Test
    void withNothingTypedTheMostUsedThenWhatWorksHere() {
        assertThat(found("")).first().isEqualTo("root-1");
        assertThat(found("", WritePlace.BAND, Map.of("export", 9))).first().isEqualTo("export");
    }

    @Test
    void countsAreKeptAndReadAgain() {
        CommandCounts c = CommandCounts.read("help:3,soft:1,what is this,x:y");
        c.count(commands.get("help"));
        c.count(commands.get("root-2"));
        assertThat(c.counts()).isEqualTo(Map.of("help", 4, "soft", 1));
        assertThat(CommandCounts.read(c.written()).counts()).isEqualTo(c.counts());
        assertThat(CommandCounts.read("").counts()).isEmpty();
    }
}
