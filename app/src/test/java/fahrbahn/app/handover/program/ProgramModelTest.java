package fahrbahn.app.handover.program;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.season.Sort;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.language.Language;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver.Change;
import fahrbahn.core.program.TypedBack;
import java.nio.file.Files;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The numbers of the program: handed over, refused, read back. */
class ProgramModelTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
    }

    private Verdict verdict() {
        return shop.handover().verdictProperty().get();
    }

    @Test
    void whatIsHandedOverIsRememberedByRobotAndCanBeTakenBack() throws Exception {
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.OPEN);
        int all = shop.handover().program().toType().size();
        assertThat(verdict().sentence()).startsWith(all + " numbers go into the program of Wren");
        shop.handover().program().handOver();
        assertThat(shop.handover().program().toType()).isEmpty();
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.GOOD);
        shop.season()
                .changeSetup(s -> s.withLaw(s.law().withGains(0.45, 0, s.law().kd())));
        assertThat(shop.handover().program().toType()).extracting(Change::name).containsExactly("KP");
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.CARE);
        assertThat(verdict().sentence()).contains("type it, then press U");
        shop.undo();
        assertThat(shop.handover().program().toType()).isEmpty();
        shop.undo();
        assertThat(shop.handover().program().handedOver()).as("taken back").isFalse();
        shop.handover().program().handOver();
        shop.season().club().additions().addRobot(RobotKind.EDGE.setup("Dipper"));
        assertThat(shop.handover().program().handedOver())
                .as("of another robot")
                .isFalse();
        reopen();
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(shop.handover().program().handedOver())
                .as("of the first, on another day")
                .isTrue();
    }

    @Test
    void numbersThatTheProgramCannotTakeAreSaidAndNothingIsHandedOver() throws Exception {
        shop.handover().program().language(Language.BLOCKS);
        shop.handover().program().grain(Grain.WHOLE);
        shop.season().changeSetup(s -> s.withLaw(s.law().withBaseCommand(0.3)));
        assertThat(shop.handover().program().taken().value().refusal()).contains("base speed", "whole numbers");
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.STOP);
        shop.handover().program().handOver();
        assertThat(told()).contains("base speed");
        assertThat(shop.handover().program().handedOver()).isFalse();
        shop.handover().program().save(folder.resolve("law.txt"));
        assertThat(folder.resolve("law.txt")).doesNotExist();
        shop.handover().program().grain(Grain.TWO);
        assertThat(shop.handover().program().taken().value().refusal()).isEmpty();
        shop.handover().program().save(folder.resolve("law.txt"));
        assertThat(Files.readString(folder.resolve("law.txt"))).contains("BASE", "0.3");
        reopen();
        assertThat(shop.handover().program().style().grain()).isEqualTo(Grain.TWO);
        assertThat(shop.handover().program().style().language()).isEqualTo(Language.BLOCKS);
    }

    @Test
    void slipsAreNamedAndEachRobotHasItsOwnSheet() {
        TypedModel typed = shop.handover().typed();
        int all = typed.checkedProperty().get().wanted().size();
        double kp = shop.season().setupOrGuess().law().kp();
        typed.type("KP", String.valueOf(10 * kp));
        assertThat(typed.checkedProperty().get().slips())
                .filteredOn(s -> s.handed().name().equals("KP"))
                .singleElement()
                .satisfies(slip -> {
                    assertThat(slip.kind()).isEqualTo(TypedBack.Kind.DECIMAL);
                    assertThat(slip.places()).isEqualTo(1);
                });
        typed.type("KP", String.valueOf(kp).replace('.', ','));
        assertThat(typed.checkedProperty().get().slips())
                .as("a decimal comma is a point")
                .hasSize(all - 1)
                .allMatch(s -> s.kind() == TypedBack.Kind.MISSING);
        typed.type("KD", "two");
        assertThat(typed.checkedProperty().get().problem()).contains("KD", "two");
        typed.type("KD", "");
        assertThat(typed.checkedProperty().get().problem()).isEmpty();
        shop.season().club().additions().addRobot(RobotKind.EDGE.setup("Dipper"));
        assertThat(typed.checkedProperty().get().typed()).isZero();
        assertThat(typed.checkedProperty().get().wanted())
                .extracting(TypedBack.Handed::name)
                .contains("TARGET");
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(typed.checkedProperty().get().typed()).as("as it was left").isEqualTo(1);
        typed.clear();
        assertThat(typed.checkedProperty().get().typed()).isZero();
    }
}
