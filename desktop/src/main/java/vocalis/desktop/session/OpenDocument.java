package vocalis.desktop.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import vocalis.core.derive.Derived;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.desktop.view.Background;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.document.Edit;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Player;

/** The session of a window: its document, the caret in it and what was last said about it. */
public final class OpenDocument implements Session, AutoCloseable {

    private final Workspace workspace;
    private final Player player;
    private final Background background;
    private final ReadOnlyObjectWrapper<Derived> derived = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper("");
    private final ReadOnlyObjectWrapper<Guitar> written = new ReadOnlyObjectWrapper<>(Guitar.ONE);
    private final Caret caret;
    private final CaretMemory carets;
    private final List<Runnable> told = new ArrayList<>();
    private final Subscription listening;
    private boolean applying;

    public OpenDocument(Workspace workspace, Player player, Background background) {
        this.workspace = workspace;
        this.player = player;
        this.background = background;
        derived.set(workspace.derived());
        caret = new Caret(() -> workspace.riff(), new Viewport(derived.get().riff()));
        carets = new CaretMemory(workspace.content());
        listening =
                Subscription.all(
                        workspace.onChange(this::documentChanged),
                        workspace.onDerived(this::derivedChanged));
    }

    private void documentChanged() {
        written.set(workspace.written());
        caret.stayInside();
        if (!applying) {
            carets.returned(workspace.content())
                    .ifPresent(
                            p -> {
                                caret.moveTo(p.chord());
                                caret.goTo(p.tick());
                            });
        }
    }

    private void derivedChanged() {
        derived.set(workspace.derived());
        caret.view().riff(riff());
        told.forEach(Runnable::run);
    }

    @Override
    public boolean apply(Edit edit) {
        Piece before = workspace.content();
        CaretMemory.Place here = new CaretMemory.Place(caret.chord(), caret.tickProperty().get());
        applying = true;
        Optional<String> refused = workspace.apply(edit);
        applying = false;
        carets.edited(before, workspace.content(), here);
        refused.ifPresent(why -> say("Not done: " + why + "."));
        return refused.isEmpty();
    }

    @Override
    public void afterDerived(Runnable what) {
        told.add(what);
    }

    @Override
    public ReadOnlyObjectProperty<Derived> derivedProperty() {
        return derived.getReadOnlyProperty();
    }

    @Override
    public ReadOnlyObjectProperty<Guitar> writtenProperty() {
        return written.getReadOnlyProperty();
    }

    @Override
    public Caret caret() {
        return caret;
    }

    @Override
    public Workspace workspace() {
        return workspace;
    }

    @Override
    public Player player() {
        return player;
    }

    @Override
    public boolean quiet() {
        return saidProperty().get().isEmpty();
    }

    @Override
    public void say(String text) {
        said.set(text);
    }

    /** What was last said at the foot of the window. */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    @Override
    public <T> void ask(String what, Supplier<T> question, Consumer<T> answer) {
        background.ask(what, question, answer);
    }

    @Override
    public <T> void attempt(
            String what, Callable<T> question, Consumer<T> answer, Consumer<String> trouble) {
        background.attempt(what, question, answer, trouble);
    }

    @Override
    public <T> Background.Channel<T> channel(String what, Consumer<T> answer) {
        return background.channel(what, answer);
    }

    @Override
    public void close() {
        listening.close();
    }
}
