package vocalis.benchmarks;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.Architectures;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The order of modules and packages, and what each may touch. */
class ArchitectureTest {

    private static final JavaClasses ALL =
            new ClassFileImporter()
                    .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                    .importPackages("vocalis");

    /** What fills something while it works, or keeps what it found: no values of the domain. */
    private static final Set<String> WORKING =
            Set.of(
                    "vocalis.core.choice.Candidate",
                    "vocalis.core.choice.Ranking$Offered",
                    "vocalis.core.derive.Deriver",
                    "vocalis.core.derive.VoicingChoice",
                    "vocalis.core.hands.FingerSearch",
                    "vocalis.core.hands.Grips$Branch",
                    "vocalis.core.memory.Memory",
                    "vocalis.core.names.ChordNamer$Speller",
                    "vocalis.core.names.ChordSymbol$Reader",
                    "vocalis.core.names.Quality$Wording",
                    "vocalis.core.rhythm.Landing$Place",
                    "vocalis.core.unpick.PatternWriter",
                    "vocalis.core.unpick.Spans",
                    "vocalis.core.voicing.Recipe$Scan");

    @Test
    void modulesDependOnlyOnThoseAboveThem() {
        Architectures.layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("core")
                .definedBy("vocalis.core..")
                .layer("sound")
                .definedBy("vocalis.sound..")
                .layer("formats")
                .definedBy("vocalis.formats..")
                .layer("workbench")
                .definedBy("vocalis.workbench..")
                .layer("desktop")
                .definedBy("vocalis.desktop..")
                .layer("cli")
                .definedBy("vocalis.cli..")
                .layer("benchmarks")
                .definedBy("vocalis.benchmarks..")
                .whereLayer("core")
                .mayNotAccessAnyLayer()
                .whereLayer("sound")
                .mayOnlyAccessLayers("core")
                .whereLayer("formats")
                .mayOnlyAccessLayers("core", "sound")
                .whereLayer("workbench")
                .mayOnlyAccessLayers("core", "sound", "formats")
                .whereLayer("desktop")
                .mayOnlyAccessLayers("core", "sound", "formats", "workbench")
                .whereLayer("cli")
                .mayOnlyAccessLayers("core", "sound", "formats", "workbench")
                .check(ALL);
    }

    @Test
    void packagesOfTheCoreHaveAnOrder() {
        inOrder(
                "vocalis.core",
                "memory",
                "theory",
                "instrument",
                "voicing",
                "names",
                "harmony",
                "hands",
                "choice",
                "rhythm",
                "score",
                "pattern",
                "riff",
                "derive",
                "edit",
                "scale",
                "check",
                "vary",
                "offer",
                "revoice",
                "unpick",
                "mix",
                "piece",
                "arrange",
                "practice",
                "ear");
        apart("vocalis.core.hands", "vocalis.core.names..", "vocalis.core.harmony..");
    }

    @Test
    void packagesOfTheSoundHaveAnOrder() {
        inOrder(
                "vocalis.sound",
                "dsp",
                "noise",
                "guitar",
                "strings",
                "amp",
                "band",
                "engine",
                "gain",
                "listen",
                "learnt",
                "device");
    }

    @Test
    void packagesOfTheWorkbenchHaveAnOrder() {
        inOrder(
                "vocalis.workbench",
                "base",
                "demo",
                "library",
                "playing",
                "words",
                "document",
                "exchange",
                "listening",
                "playedin",
                "takes",
                "health");
    }

    /** None depends on one that stands after it; all that there are stand in the order. */
    private static void inOrder(String above, String... order) {
        assertThat(
                        ALL.stream()
                                .map(JavaClass::getPackageName)
                                .filter(p -> p.startsWith(above + "."))
                                .map(
                                        p ->
                                                p.substring(above.length() + 1)
                                                        .replaceFirst("\\..*", "")))
                .as("rooms of " + above)
                .isSubsetOf(order);
        for (int i = 0; i < order.length; i++) {
            for (int j = i + 1; j < order.length; j++) {
                apart(above + "." + order[i], above + "." + order[j] + "..");
            }
        }
    }

    private static void apart(String room, String... others) {
        noClasses()
                .that()
                .resideInAPackage(room + "..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(others)
                .check(ALL);
    }

    /** Strings, frames and hertz know no chords; the analysis of gain sits on top of both. */
    @Test
    void onlyTheAnalysisOfGainKnowsTheCore() {
        noClasses()
                .that()
                .resideInAnyPackage(
                        "vocalis.sound.dsp..",
                        "vocalis.sound.guitar..",
                        "vocalis.sound.strings..",
                        "vocalis.sound.noise..",
                        "vocalis.sound.amp..",
                        "vocalis.sound.band..",
                        "vocalis.sound.engine..",
                        "vocalis.sound.device..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("vocalis.core..", "vocalis.sound.gain..")
                .check(ALL);
        noClasses()
                .that()
                .resideInAPackage("vocalis.sound.gain..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("vocalis.sound.device..")
                .check(ALL);
    }

    /** The rooms of the window: each stands on those before it, and on no one behind it. */
    @Test
    void roomsOfTheDesktopHaveAnOrder() {
        inOrder(
                "vocalis.desktop",
                "build",
                "view",
                "pictures",
                "session",
                "keys",
                "writing",
                "band",
                "lane",
                "cards",
                "neck",
                "readout",
                "explore",
                "begin",
                "sheets",
                "sounding",
                "exchange",
                "revoice",
                "arrange",
                "heard",
                "practise",
                "ear",
                "listening",
                "logbook",
                "write",
                "desks",
                "frame");
        apart("vocalis.desktop.session", "javafx.scene..", "javafx.stage..");
        apart("vocalis.desktop.writing", "javafx.scene..", "javafx.stage..");
        // The screens do not know each other; the frame around them does. Practise plays what
        // Arrange has under its caret.
        String[] screens = {"revoice", "arrange", "logbook", "write"};
        for (String one : screens) {
            for (String other : screens) {
                if (!one.equals(other)) {
                    apart("vocalis.desktop." + one, "vocalis.desktop." + other + "..");
                }
            }
        }
    }

    /** A model of a screen draws nothing. */
    @Test
    void modelsDrawNothing() {
        noClasses()
                .that()
                .resideInAPackage("vocalis.desktop..")
                .and()
                .haveSimpleNameEndingWith("Model")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx.scene..", "javafx.stage..")
                .check(ALL);
    }

    /** The base style is shipped without the rules of these: they would look like nothing. */
    @Test
    void controlsWithoutStyleAreNotUsed() {
        noClasses()
                .that()
                .resideInAPackage("vocalis.desktop..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("javafx.scene.chart..")
                .orShould()
                .dependOnClassesThat()
                .haveNameMatching(
                        "javafx\\.scene\\.control\\.(Accordion|Alert|ChoiceBox|ChoiceDialog"
                                + "|ColorPicker|DatePicker|Dialog|DialogPane|Hyperlink|Pagination"
                                + "|PasswordField|RadioButton|SplitMenuButton|SplitPane|Tab|TabPane"
                                + "|TableView|TextArea|TextInputDialog|TitledPane|ToggleButton"
                                + "|ToolBar|TreeView|TreeTableView)")
                .check(ALL);
    }

    @Test
    void noPackagesGoInCircles() {
        slices().matching("vocalis.(*).(*)..").should().beFreeOfCycles().check(ALL);
    }

    @Test
    void theCoreIsPure() {
        classes()
                .that()
                .resideInAPackage("vocalis.core..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("vocalis.core..", "java.lang..", "java.util..")
                .check(ALL);
        noClasses()
                .that()
                .resideInAPackage("vocalis.core..")
                .should()
                .dependOnClassesThat()
                .haveNameMatching(
                        "java\\.util\\.(Random|Timer|Date|Calendar|Scanner)|java\\.time.*")
                .check(ALL);
        noClasses()
                .that()
                .resideInAPackage("vocalis.core..")
                .should()
                .callMethod(System.class, "nanoTime")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .callMethod(Math.class, "random")
                .check(ALL);
    }

    @Test
    void domainTypesDoNotChange() {
        fields().that()
                .areDeclaredInClassesThat()
                .resideInAPackage("vocalis.core..")
                .and()
                .areStatic()
                .should()
                .beFinal()
                .check(ALL);
        fields().that()
                .areDeclaredInClassesThat()
                .resideInAPackage("vocalis.core..")
                .and()
                .areDeclaredInClassesThat(
                        DescribedPredicate.describe(
                                "are values", c -> !WORKING.contains(c.getName()) && !generated(c)))
                .and()
                .areNotStatic()
                .should()
                .beFinal()
                .check(ALL);
    }

    /** Builders of records, made from them by the compiler. */
    private static boolean generated(JavaClass c) {
        return c.getName().replaceAll("[$].*", "").endsWith("Builder");
    }

    @Test
    void theInterfaceLibraryIsInTheDesktopAlone() {
        noClasses()
                .that()
                .resideOutsideOfPackages("vocalis.desktop..", "vocalis.benchmarks..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "javafx..", "atlantafx..", "org.kordamp..", "java.awt..", "javax.swing..")
                .check(ALL);
        noClasses()
                .that()
                .resideOutsideOfPackages(
                        "vocalis.sound.device..",
                        "vocalis.formats.midi..",
                        "vocalis.formats.wav..",
                        "vocalis.benchmarks..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("javax.sound..")
                .check(ALL);
        noClasses()
                .that()
                .resideInAnyPackage("vocalis.core..", "vocalis.sound..", "vocalis.formats..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("java.nio.file..")
                .orShould()
                .dependOnClassesThat()
                .haveNameMatching(
                        "java\\.io\\.(File|FileInputStream|FileOutputStream|RandomAccessFile)")
                .check(ALL);
    }

    @Test
    void nothingOnTheAudioThreadAllocatesOrWaits() {
        noClasses()
                .that()
                .resideInAnyPackage(
                        "vocalis.sound.dsp..",
                        "vocalis.sound.guitar..",
                        "vocalis.sound.strings..",
                        "vocalis.sound.noise..",
                        "vocalis.sound.amp..",
                        "vocalis.sound.band..",
                        "vocalis.sound.engine..")
                .should()
                .dependOnClassesThat()
                .haveNameMatching(
                        "java\\.util\\.(List|Map|Set|ArrayList|HashMap|Collection|Iterator|Formatter|stream.*|"
                                + "logging.*|concurrent.*)|java\\.lang\\.System\\$Logger|java\\.lang\\.Thread")
                .check(ALL);
    }
}
