package fahrbahn.app.club;

import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Sort;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.CourseFigures;
import fahrbahn.core.table.Draft;
import fahrbahn.words.LawWords;
import fahrbahn.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;

/** The club in sentences. */
public final class ClubWords {
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMMM").withZone(ZoneId.systemDefault());

    private ClubWords() {}

    /** What the stations are about, and how to change it. */
    public static String inHand(ClubModel model) {
        Entry robot = model.inHand(Sort.ROBOT);
        Entry venue = model.inHand(Sort.VENUE);
        return "You are working on: " + robot.name() + (robot.team().isEmpty() ? "" : " of the team " + robot.team())
                + ", on "
                + model.inHand(Sort.TABLE).name()
                + (venue.name().isEmpty() ? ", no venue set" : ", in " + venue.name())
                + ". F2, F3, F4 switch.";
    }

    /** What the season holds of an entry, a sentence each. */
    static List<String> about(Entry entry, ClubInsight is) {
        List<String> said = new ArrayList<>();
        if (entry.sort() == Sort.ROBOT) {
            is.setup().ifPresent(setup -> said.add(robot(setup)));
            said.add(
                    is.measured() == 0
                            ? "No constant measured yet."
                            : is.measured() + " of its " + Constant.values().length + " constants have been measured.");
        }
        if (entry.sort() == Sort.TABLE) {
            is.course().ifPresent(draft -> said.add(course(draft)));
        }
        if (entry.sort() != Sort.ROBOT) {
            said.add(robots(entry.sort(), is.robots()));
        }
        if (entry.sort() != Sort.TABLE) {
            said.add(Words.count(is.captures(), "capture", "captures") + ".");
        }
        said.add(
                is.runs() == 0
                        ? "No runs on a table yet."
                        : Words.count(is.runs(), "run", "runs") + " of a real robot, " + is.completed()
                                + " of them completed.");
        is.last().ifPresent(at -> said.add("Last noted on " + DAY.format(at) + "."));
        return said;
    }

    private static String robot(Setup setup) {
        return Words.count(setup.robot().sensors().size(), "sensor", "sensors") + ", "
                + Words.millimetres(setup.leadMm()) + " ahead of the axle; it follows with "
                + LawWords.kind(setup.law().signal()) + ", Kp "
                + Words.number(setup.law().kp()) + " and Kd "
                + Words.number(setup.law().kd()) + " at " + Words.number(setup.speedMmPerS()) + " mm/s.";
    }

    private static String course(Draft draft) {
        CourseFigures f = CourseFigures.of(draft);
        return Words.number(f.lengthMm() / 1000) + " m along, "
                + (Double.isInfinite(f.tightestRadiusMm())
                        ? "no bend"
                        : "tightest bend " + Words.millimetres(f.tightestRadiusMm()))
                + ", " + Words.count(f.gaps(), "gap", "gaps") + ", " + Words.count(f.corners(), "corner", "corners")
                + ".";
    }

    private static String robots(Sort sort, List<String> names) {
        if (names.isEmpty()) {
            return sort == Sort.TEAM ? "No robot yet: M moves one into this team." : "No robot has been there.";
        }
        return (sort == Sort.TEAM ? "Its robots: " : "Robots there: ") + String.join(", ", names) + ".";
    }
}
