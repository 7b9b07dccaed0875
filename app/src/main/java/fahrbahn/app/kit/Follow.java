package fahrbahn.app.kit;

import fahrbahn.app.state.Derived;
import javafx.css.PseudoClass;
import javafx.scene.Node;

/** A page that shows a derived value: shown again whenever it stands otherwise; while it is not there, what was there before is dimmed, or gone if it was of another robot. */
public final class Follow {
    private static final PseudoClass ABSENT = PseudoClass.getPseudoClass("absent");
    private static final PseudoClass OF_ANOTHER = PseudoClass.getPseudoClass("of-another");

    private Follow() {}

    /** @param dimmed what still shows the value before, until the new one is there */
    public static void of(Derived<?> derived, Runnable refresh, Node... dimmed) {
        Runnable follow = () -> {
            boolean absent = derived.value().ready().isEmpty();
            for (Node node : dimmed) {
                node.pseudoClassStateChanged(ABSENT, absent);
                node.pseudoClassStateChanged(OF_ANOTHER, absent && derived.beforeIsOfAnother());
            }
            refresh.run();
        };
        derived.valueProperty().addListener(o -> follow.run());
        follow.run();
    }
}
