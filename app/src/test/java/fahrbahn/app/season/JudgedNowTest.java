package fahrbahn.app.season;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Levels and colours are put on a robot only when they are of its newest captures, however fast the coach's hands are. */
class JudgedNowTest extends InShop {
    @BeforeEach
    void bothCaptured() {
        shop.club().addRobot(RobotKind.PAIR, "Dipper");
        capture(180, 640);
        shop.club().addRobot(RobotKind.PAIR, "Wren");
        capture(210, 720);
    }

    private void capture(double dark, double light) {
        later(5);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, dark, dark + 9, shop),
                        Shop.capture(Capture.LIGHT, clock.now, light, light - 9, shop)));
    }

    private Setup setup() {
        return shop.season().setupOrGuess();
    }

    @Test
    void levelsOfOneRobotAreNotPutOnAnother() {
        assertThat(shop.levels().canUse()).isTrue();
        worker.hold();
        shop.season().club().takeNext(Sort.ROBOT);
        Setup other = setup();
        assertThat(other.robot().name()).isEqualTo("Dipper");
        assertThat(shop.levels().canUse()).isFalse();
        shop.levels().useOnRobot();
        assertThat(setup()).isEqualTo(other);
        assertThat(told()).startsWith("The newest captures are still being checked");
        worker.work();
        shop.levels().useOnRobot();
        assertThat(setup().robot().sensors().get(0).dark()).isBetween(178.0, 182.0);
    }

    @Test
    void levelsOfOlderCapturesAreNotPutOnInPlaceOfNewer() {
        worker.hold();
        capture(260, 810);
        Setup before = setup();
        shop.levels().useOnRobot();
        assertThat(setup()).isEqualTo(before);
        worker.work();
        shop.levels().useOnRobot();
        assertThat(setup().robot().sensors().get(0).light()).isBetween(808.0, 812.0);
    }

    /** Nobody has to look at the page of the marks for that. */
    @Test
    void coloursAreTakenOfTheNewestCaptures() {
        lookForMarks();
        shop.measure().typist().begin(Capture.DARK);
        type("20/21/19 21/22/18 20/20/19");
        shop.measure().typist().begin(Capture.LIGHT);
        type("200/210/190 201/212/188 199/211/191");
        shop.measure().typist().begin("mark");
        type("60/140/80 61/141/82 62/139/81");
        assertThat(shop.levels().turns().takeCaptured()).startsWith("Colours of left taken");
        Setup first = setup();
        worker.hold();
        later(5);
        shop.measure().typist().begin("mark");
        type("140/60/80 141/61/82 139/62/81");
        assertThat(shop.levels().turns().takeCaptured()).contains("still being checked");
        assertThat(setup()).isEqualTo(first);
        worker.work();
        assertThat(shop.levels().turns().takeCaptured()).startsWith("Colours of left taken");
        assertThat(setup()).isNotEqualTo(first);
    }

    /** The same of both sensors. */
    private void type(String readings) {
        later(5);
        shop.measure().typist().type(readings);
        shop.measure().typist().type(readings);
    }
}
