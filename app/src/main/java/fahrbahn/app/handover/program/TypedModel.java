package fahrbahn.app.handover.program;

import fahrbahn.app.season.Season;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.Taken;
import fahrbahn.core.program.TypedBack;
import fahrbahn.core.program.TypedBack.Handed;
import fahrbahn.core.program.TypedBack.Slip;
import fahrbahn.words.Refusals;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Numbers read off the robot and typed back, held against those that belong there. */
public final class TypedModel {
    private final Season season;

    /** By what belongs on the robot: the coach goes from robot to robot and finds each sheet as it was left. */
    private final Map<Optional<Taken>, Map<String, String>> sheets = new HashMap<>();

    private final ReadOnlyObjectWrapper<Checked> checked =
            new ReadOnlyObjectWrapper<>(new Checked(List.of(), 0, List.of(), ""));
    private Optional<Taken> of = Optional.empty();

    /**
     * @param wanted what belongs on the robot
     * @param typed how many of them were
     * @param problem what is no number, in words; empty otherwise
     */
    public record Checked(List<Handed> wanted, int typed, List<Slip> slips, String problem) {
        /** Of one number; empty when it is right, or not typed yet. */
        Optional<Slip> slip(String name) {
            return slips.stream()
                    .filter(s -> s.handed().name().equals(name) && s.kind() != TypedBack.Kind.MISSING)
                    .findFirst();
        }
    }

    public TypedModel(Season season, ProgramModel program) {
        this.season = season;
        program.taken().valueProperty().addListener(o -> take(program.taken().get()));
        take(program.taken().get());
    }

    public ReadOnlyObjectProperty<Checked> checkedProperty() {
        return checked.getReadOnlyProperty();
    }

    /** Of another robot, or after a change, the numbers are others. */
    private void take(Optional<Taken> taken) {
        of = taken;
        check();
    }

    /** @param text as it stands on the robot; empty when it was not read */
    public void type(String name, String text) {
        sheet().put(name, text);
        check();
    }

    String typed(String name) {
        return sheet().getOrDefault(name, "");
    }

    private Map<String, String> sheet() {
        return sheets.computeIfAbsent(of, robot -> new HashMap<>());
    }

    /** Begins anew. */
    public void clear() {
        sheet().clear();
        check();
    }

    private void check() {
        List<Handed> wanted =
                of.map(t -> HandOver.of(Instant.EPOCH, t).constants()).orElse(List.of());
        int count =
                (int) wanted.stream().filter(h -> !typed(h.name()).isBlank()).count();
        try {
            double periodS = season.setupOrGuess().robot().loop().periodS();
            checked.set(new Checked(wanted, count, TypedBack.check(wanted, sheet(), periodS), ""));
        } catch (BadValueException noNumber) {
            checked.set(new Checked(wanted, count, List.of(), Refusals.sentence(noNumber)));
        }
    }
}
