package fahrbahn.app.ground;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.kit.Pictures;
import fahrbahn.core.mat.Picture;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.image.Image;

/** A canvas that shows a table as large as it fits, with its printed picture when it is a mat. */
public abstract class TableCanvas extends CanvasRegion {
    private static final PseudoClass FOCUSED = PseudoClass.getPseudoClass("focused");
    private static final double MARGIN_PX = 6;
    private static final double[] NOTHING = {0, 0, 0, 0};

    private Picture shown;
    private Image image;

    public TableCanvas(String accessibleText, double leastHeight) {
        super(accessibleText, leastHeight);
    }

    /** Takes keys and shows that it does. */
    protected final void takeKeys() {
        setFocusTraversable(true);
        getStyleClass().add("handled");
        focusedProperty().addListener(o -> pseudoClassStateChanged(FOCUSED, isFocused()));
    }

    protected abstract double tableWidthMm();

    protected abstract double tableHeightMm();

    /** The mat's print; empty for a table of parts, and while it is unpacked. */
    protected Optional<Picture> print() {
        return Optional.empty();
    }

    /** How far what is shown reaches beyond the table: left, below, right and above, mm, each 0 or more. */
    protected double[] beyondMm() {
        return NOTHING;
    }

    public final TableScale scale() {
        return seen(
                TableScale.fitting(tableWidthMm(), tableHeightMm(), beyondMm(), getWidth(), getHeight(), MARGIN_PX));
    }

    /** What is seen of it: the whole, unless it is looked at closer. */
    protected TableScale seen(TableScale whole) {
        return whole;
    }

    /** The picture lies with its top at the far side of the table. */
    @Override
    protected final Optional<Backdrop> backdrop() {
        Optional<Picture> print = print();
        if (print.isEmpty()) {
            return Optional.empty();
        }
        if (shown != print.get()) {
            shown = print.get();
            image = Pictures.image(shown);
        }
        TableScale at = scale();
        return Optional.of(new Backdrop(
                image,
                at.px(0),
                at.py(tableHeightMm()),
                at.pxPerMm() * tableWidthMm(),
                at.pxPerMm() * tableHeightMm()));
    }
}
