package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.mix.Timing;
import vocalis.core.riff.Tone;
import vocalis.formats.FormatException;

/** The part of a piece's file that says who plays along. */
final class MixCodec {

    private MixCodec() {}

    static ObjectNode write(Mix mix) {
        ObjectNode n = JsonNodeFactory.instance.objectNode();
        n.set("controls", controls(mix.controls()));
        ObjectNode second = n.putObject("second");
        fader(second, mix.second());
        second.put("tone", Json.id(mix.secondTone()));
        second.set("controls", controls(mix.secondControls()));
        second.put("spread", mix.spread());
        fader(n.putObject("bass"), mix.bass())
                .put("line", Json.id(mix.bassLine()))
                .put("hand", Json.id(mix.bassHand()));
        fader(n.putObject("kit"), mix.kit()).put("feel", Json.id(mix.feel()));
        fader(n.putObject("click"), mix.click());
        n.put("hands", mix.hands()).put("swing", mix.timing().swing());
        n.put("behind", mix.timing().behind()).put("room", mix.room());
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
        n.put("closedCabinet", c.closedCabinet()).put("microphone", c.microphone());
        n.put("feedback", c.feedback());
        return n;
    }

    static Mix read(Field b) throws FormatException {
        Field second = b.get("second");
        return b.build(
                () ->
                        new Mix(
                                readControls(b.get("controls")),
                                readFader(second),
                                Json.one(second.get("tone"), Tone.values()),
                                readControls(second.get("controls")),
                                second.get("spread").integer(0, 10),
                                readFader(b.get("bass")),
                                Json.one(b.get("bass").get("line"), Mix.BassLine.values()),
                                hand(b.get("bass")),
                                readFader(b.get("kit")),
                                Json.one(b.get("kit").get("feel"), Feel.values()),
                                readFader(b.get("click")),
                                new Timing(
                                        optional(b, "hands", Mix.ALONE.hands()),
                                        b.has("swing") ? b.get("swing").integer(50, 75) : 50,
                                        b.has("behind") ? b.get("behind").integer(-30, 30) : 0),
                                optional(b, "room", Mix.ALONE.room())));
    }

    static Fader readFader(Field f) throws FormatException {
        return f.build(() -> new Fader(f.get("on").flag(), f.get("level").integer(0, 10)));
    }

    /** What files from before it was asked for do not have. */
    private static int optional(Field f, String name, int usual) throws FormatException {
        return f.has(name) ? f.get(name).integer(0, 10) : usual;
    }

    private static Mix.BassHand hand(Field bass) throws FormatException {
        return bass.has("hand")
                ? Json.one(bass.get("hand"), Mix.BassHand.values())
                : Mix.ALONE.bassHand();
    }

    static Controls readControls(Field c) throws FormatException {
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
                                c.get("hardness").integer(0, 10),
                                c.has("closedCabinet") && c.get("closedCabinet").flag(),
                                optional(c, "microphone", Controls.USUAL.microphone()),
                                c.has("feedback") && c.get("feedback").flag()));
    }
}
