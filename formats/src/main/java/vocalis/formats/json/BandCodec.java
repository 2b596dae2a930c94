package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import vocalis.core.riff.Band;
import vocalis.core.riff.Controls;
import vocalis.core.riff.Fader;
import vocalis.core.riff.Feel;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.formats.FormatException;

/** The part of a riff's file that says who plays along. */
final class BandCodec {

    private BandCodec() {}

    static ObjectNode write(Band band) {
        ObjectNode n = JsonNodeFactory.instance.objectNode();
        n.set("controls", controls(band.controls()));
        ObjectNode second = n.putObject("second");
        fader(second, band.second());
        band.secondFamily().ifPresent(f -> second.put("family", RiffCodec.familyName(f)));
        second.put("tone", band.secondTone().label());
        second.set("controls", controls(band.secondControls()));
        second.put("spread", band.spread());
        fader(n.putObject("bass"), band.bass()).put("line", band.bassLine().label());
        fader(n.putObject("kit"), band.kit()).put("feel", band.feel().label());
        fader(n.putObject("click"), band.click());
        return n;
    }

    private static ObjectNode fader(ObjectNode n, Fader f) {
        return n.put("on", f.on()).put("level", f.level());
    }

    private static ObjectNode controls(Controls c) {
        ObjectNode n = JsonNodeFactory.instance.objectNode();
        n.put("gain", c.gain()).put("bass", c.bass()).put("middle", c.middle());
        n.put("treble", c.treble()).put("presence", c.presence()).put("level", c.level());
        n.put("neckPickup", c.neckPickup()).put("pick", c.pick()).put("hardness", c.hardness());
        return n;
    }

    static Band read(Field b) throws FormatException {
        Field second = b.get("second");
        Optional<Family> family =
                second.has("family")
                        ? Optional.of(
                                RiffCodec.family(second.get("family"), second.get("family").text()))
                        : Optional.empty();
        Controls first = readControls(b.get("controls"));
        Controls other = readControls(second.get("controls"));
        return b.build(
                () ->
                        new Band(
                                first,
                                readFader(second),
                                family,
                                oneOf(second.get("tone"), Tone.values(), Tone::label),
                                other,
                                second.get("spread").integer(0, 10),
                                readFader(b.get("bass")),
                                oneOf(
                                        b.get("bass").get("line"),
                                        Band.BassLine.values(),
                                        Band.BassLine::label),
                                readFader(b.get("kit")),
                                oneOf(b.get("kit").get("feel"), Feel.values(), Feel::label),
                                readFader(b.get("click"))));
    }

    private static Fader readFader(Field f) throws FormatException {
        return f.build(() -> new Fader(f.get("on").flag(), f.get("level").integer(0, 10)));
    }

    private static Controls readControls(Field c) throws FormatException {
        return c.build(
                () ->
                        new Controls(
                                c.get("gain").integer(-5, 5),
                                c.get("bass").integer(-5, 5),
                                c.get("middle").integer(-5, 5),
                                c.get("treble").integer(-5, 5),
                                c.get("presence").integer(-5, 5),
                                c.get("level").integer(-5, 5),
                                c.get("neckPickup").flag(),
                                c.get("pick").integer(0, 10),
                                c.get("hardness").integer(0, 10)));
    }

    /** The one of a few things that a field names. */
    static <T> T oneOf(Field f, T[] all, Function<T, String> name) throws FormatException {
        String text = f.text();
        for (T t : all) {
            if (name.apply(t).equals(text)) {
                return t;
            }
        }
        String known = Arrays.stream(all).map(name).collect(Collectors.joining(", "));
        throw f.wrong("says \"" + text + "\"; it must be one of " + known);
    }
}
