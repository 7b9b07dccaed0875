package fahrbahn.app.shell;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.Fields;
import javafx.beans.value.ObservableValue;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/** The two lines at the foot of a page. */
final class Messages {
    private Messages() {}

    /** What was told last, until it is put away: over the foot of the page, so that nothing moves for it. */
    static HBox notice(Notices notices) {
        Label words = new Label();
        words.setId("notice");
        words.setWrapText(true);
        words.textProperty().bind(notices.shownProperty());
        Button away = new Button("Close");
        away.setId("noticeAway");
        away.setMinWidth(Region.USE_PREF_SIZE);
        away.setOnAction(e -> notices.over());
        HBox notice = Nodes.row(Nodes.grow(words), away);
        notice.setMaxHeight(Region.USE_PREF_SIZE);
        notice.getStyleClass().add("notice");
        notice.visibleProperty().bind(notices.shownProperty().isNotEmpty());
        notice.managedProperty().bind(notice.visibleProperty());
        return notice;
    }

    /** What the field with the focus is, and why a stop of the road is as it is; its place stays, so that nothing moves for it. */
    static Label hint(ObservableValue<Scene> scene) {
        Label hint = Nodes.label(" ", "hint");
        hint.setId("hint");
        hint.setWrapText(true);
        scene.flatMap(Scene::focusOwnerProperty)
                .addListener((o, before, now) -> hint.setText(Fields.what(now).orElse(" ")));
        return hint;
    }
}
