package vocalis.sound.device;

import java.util.ArrayList;
import java.util.List;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.DataLine;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.Mixer;
import javax.sound.sampled.SourceDataLine;
import javax.sound.sampled.TargetDataLine;

/** The sound devices of the machine, through javax.sound. */
public final class Devices {

    /** Stands for whatever the system takes. */
    public static final String DEFAULT = "system default";

    private Devices() {}

    /** The names of the devices that can play, the system's default first. May take a while. */
    public static List<String> names() {
        return names(line(48_000));
    }

    /** The names of the devices that can be heard, the system's default first. */
    public static List<String> inputs() {
        return names(new DataLine.Info(TargetDataLine.class, mono(48_000)));
    }

    private static List<String> names(DataLine.Info wanted) {
        List<String> names = new ArrayList<>();
        names.add(DEFAULT);
        for (Mixer.Info info : AudioSystem.getMixerInfo()) {
            try {
                if (AudioSystem.getMixer(info).isLineSupported(wanted)) {
                    names.add(info.getName());
                }
            } catch (IllegalArgumentException | SecurityException e) {
                // A mixer that went away between being listed and being asked offers nothing.
                continue;
            }
        }
        return names;
    }

    private static AudioFormat format(double rate) {
        return new AudioFormat((float) rate, 16, 2, true, false);
    }

    private static DataLine.Info line(double rate) {
        return new DataLine.Info(SourceDataLine.class, format(rate));
    }

    private static AudioFormat mono(double rate) {
        return new AudioFormat((float) rate, 16, 1, true, false);
    }

    /** Opens a device to be heard by its name. */
    public static InputLine.Opener input(String name) {
        return (rate, frames) -> {
            try {
                TargetDataLine line = findInput(name, rate);
                line.open(mono(rate), frames * 2);
                line.start();
                return new InputLine() {
                    @Override
                    public int read(byte[] bytes, int count) {
                        return line.read(bytes, 0, count);
                    }

                    @Override
                    public void close() {
                        line.stop();
                        line.close();
                    }
                };
            } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
                throw new OutputLine.NoDevice("no sound input was found", e);
            }
        };
    }

    private static TargetDataLine findInput(String name, double rate)
            throws LineUnavailableException {
        if (name.equals(DEFAULT)) {
            return AudioSystem.getTargetDataLine(mono(rate));
        }
        for (Mixer.Info info : AudioSystem.getMixerInfo()) {
            if (info.getName().equals(name)) {
                DataLine.Info wanted = new DataLine.Info(TargetDataLine.class, mono(rate));
                return (TargetDataLine) AudioSystem.getMixer(info).getLine(wanted);
            }
        }
        throw new IllegalArgumentException("the device \"" + name + "\" is not there");
    }

    /** Opens a device by its name. */
    public static OutputLine.Opener opener(String name) {
        return (rate, frames) -> {
            try {
                SourceDataLine line = find(name, rate);
                line.open(format(rate), frames * 4);
                line.start();
                return new OutputLine() {
                    @Override
                    public int write(byte[] bytes, int count) {
                        return line.write(bytes, 0, count);
                    }

                    @Override
                    public void close() {
                        line.stop();
                        line.close();
                    }
                };
            } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
                // Without a sound card getSourceDataLine throws IllegalArgumentException.
                throw new OutputLine.NoDevice("no sound device was found", e);
            }
        };
    }

    private static SourceDataLine find(String name, double rate) throws LineUnavailableException {
        if (name.equals(DEFAULT)) {
            return AudioSystem.getSourceDataLine(format(rate));
        }
        for (Mixer.Info info : AudioSystem.getMixerInfo()) {
            if (info.getName().equals(name)) {
                return (SourceDataLine) AudioSystem.getMixer(info).getLine(line(rate));
            }
        }
        throw new IllegalArgumentException("the device \"" + name + "\" is not there");
    }
}
