package vocalis.workbench.base;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.hands.Hand;

/** Where things are kept, what is remembered between starts, and what is logged. */
class SettingsTest {

    @TempDir Path folder;

    /**
     * The places that each platform has for it: XDG Base Directory 0.8, Apple's and Windows' own.
     */
    @Test
    void everyPlatformHasItsPlaces() {
        Path home = Path.of("/home/me");
        Places linux = Places.of("Linux", home, Map.<String, String>of()::get);
        assertThat(linux.data()).isEqualTo(home.resolve(".local/share/vocalis"));
        assertThat(linux.settings()).isEqualTo(home.resolve(".config/vocalis"));
        assertThat(linux.log()).isEqualTo(home.resolve(".local/state/vocalis"));
        Places set =
                Places.of(
                        "Linux",
                        home,
                        Map.of("XDG_CONFIG_HOME", "/c", "XDG_DATA_HOME", "not/absolute")::get);
        assertThat(set.settings()).isEqualTo(Path.of("/c/vocalis"));
        assertThat(set.data()).isEqualTo(linux.data());
        assertThat(Places.of("Mac OS X", home, k -> null).log())
                .isEqualTo(home.resolve("Library/Logs/Vocalis"));
        assertThat(Places.of("Windows 11", home, Map.of("APPDATA", "/roaming")::get).settings())
                .isEqualTo(Path.of("/roaming/Vocalis"));
    }

    @Test
    void settingsAreKeptBetweenStartsAndOddOnesIgnored() throws Exception {
        Preferences p = Preferences.in(folder);
        assertThat(p.hand()).isEqualTo(Hand.MEDIUM);
        p.setHand(new Hand("measured", 107.5));
        p.set("theme", "light");
        p.set("window.width", 1100);
        p.save();
        Preferences again = Preferences.in(folder);
        assertThat(again.hand()).isEqualTo(new Hand("measured", 107.5));
        assertThat(again.text("theme")).contains("light");
        assertThat(again.number("window.width", 1000, 2000, 1280)).isEqualTo(1100);
        assertThat(again.number("window.width", 1200, 2000, 1280)).isEqualTo(1280);
        Files.writeString(
                folder.resolve("settings.properties"),
                "hand.comfortMm=wide\nwindow.width=\\u00zz\nlater.version=1\n");
        assertThat(Preferences.in(folder).hand()).isEqualTo(Hand.MEDIUM);
        Files.writeString(folder.resolve("settings.properties"), "later.version=1\n");
        Preferences newer = Preferences.in(folder);
        newer.set("theme", "dark");
        newer.save();
        assertThat(Files.readString(folder.resolve("settings.properties")))
                .contains("later.version=1");
    }

    @Test
    void whatFailsIsLoggedAndTold() throws Exception {
        List<String> told = new ArrayList<>();
        Subscription both = Subscription.all(Log.to(folder), Log.tell(told::add));
        Log.failed("testing the log", new IllegalStateException("on purpose"));
        both.close();
        assertThat(told)
                .singleElement()
                .asString()
                .contains("testing the log", "riff is as it was");
        assertThat(Files.readString(folder.resolve("vocalis.0.log")))
                .contains("failed while testing the log")
                .contains("on purpose");
        Log.failed("after it", new IllegalStateException("not listened to"));
        assertThat(told).hasSize(1);
    }
}
