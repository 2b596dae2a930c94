package vocalis.cli.options;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.FilterWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import vocalis.workbench.library.PieceFiles;

/** The standard streams: what {@code -} reads, and text that every terminal can show. */
public final class Standard {

    /** What is written where a terminal has no such sign. */
    private static final Map<Character, String> PLAIN =
            Map.ofEntries(
                    Map.entry('♭', "b"),
                    Map.entry('♯', "#"),
                    Map.entry('♮', "n"),
                    Map.entry('−', "-"),
                    Map.entry('–', "-"),
                    Map.entry('·', ","),
                    Map.entry('…', "..."),
                    Map.entry('°', "o"),
                    Map.entry('ø', "o"),
                    Map.entry('¢', "c"),
                    Map.entry('↔', "<->"),
                    Map.entry('→', "->"),
                    Map.entry('←', "<-"),
                    Map.entry('×', "x"),
                    Map.entry('Δ', "maj"),
                    Map.entry('\u201c', "\""),
                    Map.entry('\u201d', "\""),
                    Map.entry('\u2019', "'"));

    private Standard() {}

    /** Whether a path stands for a standard stream. */
    public static boolean is(Path path) {
        return path.toString().equals("-");
    }

    /** A riff from a file, or from standard input for {@code -}. */
    public static PieceFiles.ReadPiece read(Path file)
            throws IOException, PieceFiles.PieceFileException {
        PieceFiles.ReadPiece read =
                is(file)
                        ? PieceFiles.opened(System.in.readAllBytes(), "standard input")
                        : PieceFiles.read(file);
        if (read.newer()) {
            PrintWriter err = text(System.err, charset());
            err.println(
                    "vocalis: "
                            + file
                            + ": a newer Vocalis wrote it; what only that one knows is left out");
            err.flush();
        }
        return read;
    }

    /** Shapes as they were named, or a line each of standard input for {@code -}. */
    public static List<String> shapes(String given) throws IOException {
        if (!given.equals("-")) {
            return List.of(given);
        }
        byte[] all = System.in.readAllBytes();
        try (Stream<String> lines =
                new BufferedReader(
                                new InputStreamReader(
                                        new ByteArrayInputStream(all), StandardCharsets.UTF_8))
                        .lines()) {
            return lines.map(String::strip).filter(l -> !l.isEmpty()).toList();
        }
    }

    /**
     * The charset of the terminal: the system property {@code vocalis.output}, or the variable
     * {@code VOCALIS_OUTPUT}, where what starts it knows better than Java; else what Java says of
     * standard output.
     */
    public static Charset charset() {
        return Stream.of(
                        System.getProperty("vocalis.output"),
                        System.getenv("VOCALIS_OUTPUT"),
                        System.getProperty("stdout.encoding"),
                        System.getProperty("sun.stdout.encoding"),
                        System.getProperty("native.encoding"))
                .filter(n -> n != null && Charset.isSupported(n))
                .findFirst()
                .map(Charset::forName)
                .orElseGet(Charset::defaultCharset);
    }

    /** Text onto a stream in a charset; a sign that it lacks is written in plain letters. */
    public static PrintWriter text(OutputStream out, Charset charset) {
        CharsetEncoder encoder = charset.newEncoder();
        Writer plain =
                new FilterWriter(new OutputStreamWriter(out, charset)) {
                    @Override
                    public void write(int c) throws IOException {
                        boolean known =
                                encoder.canEncode((char) c) || Character.isSurrogate((char) c);
                        out.write(
                                known
                                        ? String.valueOf((char) c)
                                        : PLAIN.getOrDefault((char) c, "?"));
                    }

                    @Override
                    public void write(char[] chars, int from, int length) throws IOException {
                        for (int i = from; i < from + length; i++) {
                            write(chars[i]);
                        }
                    }

                    @Override
                    public void write(String s, int from, int length) throws IOException {
                        write(s.toCharArray(), from, length);
                    }
                };
        return new PrintWriter(plain, true);
    }
}
