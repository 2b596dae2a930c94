package vocalis.desktop.view;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The window's content with sheets over it: panels inside the window, over the dimmed screen, which
 * takes no keys meanwhile. Esc closes the topmost; the caret goes back to where it was.
 */
public final class SheetHost extends StackPane implements Sheets {

    private static final double MARGIN = 48;
    private static final double SCROLL_BAR = 16;
    private static final double EDGE = 6;

    /** A sheet that is open. */
    private final class Open implements Sheet {
        private final Panel panel;
        private final StackPane layer;
        private final ScrollPane scroll;
        private final Node before;
        private Runnable closed = () -> {};
        private boolean open = true;

        private Open(String title, Node body, double width, Node before) {
            this.before = before;
            Label head = new Label(title);
            head.getStyleClass().add("sheet-title");
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            Button close = new Button("Close  Esc");
            close.getStyleClass().add("quiet-button");
            close.setId("sheet-close");
            close.setOnAction(e -> close());
            HBox top = new HBox(head, gap, close);
            top.setAlignment(Pos.CENTER_LEFT);
            top.getStyleClass().add("sheet-head");
            scroll = new ScrollPane(body);
            scroll.setFitToWidth(true);
            scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
            scroll.getStyleClass().add("sheet-scroll");
            scroll.setFocusTraversable(false);
            VBox.setVgrow(scroll, Priority.ALWAYS);
            panel = new Panel(top, scroll, body);
            panel.getStyleClass().add("sheet");
            panel.setMaxWidth(width);
            panel.setMaxHeight(Region.USE_PREF_SIZE);
            layer = new StackPane(panel);
            layer.getStyleClass().add("sheet-layer");
            layer.setOnMousePressed(
                    e -> {
                        if (e.getTarget() == layer) {
                            close();
                        }
                    });
            layer.addEventHandler(KeyEvent.KEY_PRESSED, this::scrolled);
        }

        /** Page keys and the arrows that nobody took scroll. */
        private void scrolled(KeyEvent e) {
            double page =
                    switch (e.getCode()) {
                        case PAGE_DOWN -> 0.9;
                        case PAGE_UP -> -0.9;
                        case DOWN -> 0.1;
                        case UP -> -0.1;
                        default -> 0;
                    };
            double room =
                    scroll.getContent().getLayoutBounds().getHeight()
                            - scroll.getViewportBounds().getHeight();
            if (page != 0 && room > 0) {
                double by = page * scroll.getViewportBounds().getHeight() / room;
                scroll.setVvalue(Math.max(0, Math.min(1, scroll.getVvalue() + by)));
                e.consume();
            }
        }

        @Override
        public Sheet onClosed(Runnable then) {
            closed = then;
            return this;
        }

        @Override
        public void close() {
            if (open) {
                open = false;
                sheets.remove(this);
                getChildren().remove(layer);
                cover();
                Open below = sheets.peek();
                boolean there = before != null && before.getScene() != null;
                if (there && (below == null || within(before, below.layer))) {
                    before.requestFocus();
                } else if (below != null) {
                    below.focusFirst();
                }
                closed.run();
            }
        }

        @Override
        public boolean isOpen() {
            return open;
        }

        @Override
        public Sheet focus(Node node) {
            if (node.getScene() == getScene()) {
                node.requestFocus();
            } else {
                Platform.runLater(node::requestFocus);
            }
            return this;
        }

        private void focusFirst() {
            first(scroll.getContent()).or(() -> first(panel)).ifPresent(this::focus);
        }

        /** Scrolls so that a node of the sheet is seen. */
        private void reveal(Node node) {
            Node content = scroll.getContent();
            var bounds = content.sceneToLocal(node.localToScene(node.getBoundsInLocal()));
            double height = content.getLayoutBounds().getHeight();
            double view = scroll.getViewportBounds().getHeight();
            double top = scroll.getVvalue() * (height - view);
            if (height > view && bounds != null) {
                double wanted =
                        bounds.getMinY() < top
                                ? bounds.getMinY()
                                : bounds.getMaxY() > top + view ? bounds.getMaxY() - view : top;
                scroll.setVvalue(Math.max(0, Math.min(1, wanted / (height - view))));
            }
        }
    }

    private final Node content;
    private final Deque<Open> sheets = new ArrayDeque<>();

    private boolean pressing;
    private boolean opened;

    public SheetHost(Node content) {
        this.content = content;
        getChildren().add(content);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> pressed(true));
        addEventFilter(KeyEvent.KEY_PRESSED, this::escaped);
        addEventFilter(KeyEvent.KEY_TYPED, this::typed);
        addEventFilter(KeyEvent.KEY_RELEASED, e -> pressed(false));
        sceneProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is != null) {
                                is.focusOwnerProperty()
                                        .addListener((p, before, now) -> revealed(now));
                            }
                        });
    }

    private void pressed(boolean down) {
        pressing = down;
        opened = false;
    }

    /**
     * The key by which a sheet opened another is not typed into the other's field; a key that was a
     * command never comes here to be typed.
     */
    private void typed(KeyEvent e) {
        if (opened) {
            opened = false;
            e.consume();
        }
    }

    private void revealed(Node node) {
        Open top = sheets.peek();
        if (top != null && node != null && within(node, top.scroll.getContent())) {
            top.reveal(node);
        }
    }

    private static boolean within(Node node, Node ancestor) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (n == ancestor) {
                return true;
            }
        }
        return false;
    }

    private void escaped(KeyEvent e) {
        boolean dropDown =
                getScene().getFocusOwner() instanceof javafx.scene.control.ComboBoxBase<?> c
                        && c.isShowing();
        if (e.getCode() == KeyCode.ESCAPE && !sheets.isEmpty() && !dropDown) {
            sheets.peek().close();
            e.consume();
        }
    }

    @Override
    public Optional<Sheet> top() {
        return Optional.ofNullable(sheets.peek());
    }

    @Override
    public Sheet open(String title, Node body, double width) {
        Node before = getScene() == null ? null : getScene().getFocusOwner();
        Open sheet = new Open(title, body, width, before);
        opened = pressing;
        sheets.push(sheet);
        getChildren().add(sheet.layer);
        // What scrolls is in the scene once its skin is made: then keys typed at once reach it.
        sheet.layer.applyCss();
        cover();
        sheet.focusFirst();
        return sheet;
    }

    /** As high as what it shows, as far as the window goes. */
    private final class Panel extends VBox {
        private final Region top;
        private final Node body;

        Panel(Region top, ScrollPane scroll, Node body) {
            super(top, scroll);
            this.top = top;
            this.body = body;
        }

        @Override
        protected double computePrefHeight(double width) {
            double room = SheetHost.this.getHeight() - MARGIN;
            double inner = Math.min(getMaxWidth(), SheetHost.this.getWidth() - MARGIN) - SCROLL_BAR;
            double wanted = top.prefHeight(-1) + body.prefHeight(inner) + EDGE;
            return room > 0 ? Math.min(room, wanted) : wanted;
        }
    }

    /** Closes whatever is open. */
    public void closeAll() {
        while (!sheets.isEmpty()) {
            sheets.peek().close();
        }
    }

    private void cover() {
        content.setDisable(!sheets.isEmpty());
        for (Open s : sheets) {
            s.layer.setDisable(s != sheets.peek());
        }
    }

    private static Optional<Node> first(Node n) {
        if (n.isFocusTraversable() && n.isVisible() && !n.isDisabled()) {
            return Optional.of(n);
        }
        if (n instanceof Parent p) {
            for (Node child : p.getChildrenUnmodifiable()) {
                Optional<Node> found = first(child);
                if (found.isPresent()) {
                    return found;
                }
            }
        }
        return Optional.empty();
    }
}
