package fahrbahn.store.document;

import fahrbahn.core.belief.Wish;
import fahrbahn.core.detour.Task;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.language.Style;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.plan.Schedule;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SteeringDirection;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.Photo;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kind.Scope;
import fahrbahn.store.json.ColumnMapJson;
import fahrbahn.store.json.ConditionsJson;
import fahrbahn.store.json.CourseJson;
import fahrbahn.store.json.MatJson;
import fahrbahn.store.json.NumberJson;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.picture.PhotoPack;
import java.util.List;

/** Every sort of document a season holds: one line each. */
public final class Kinds {
    /** Setups by their content, for the documents that point to them. */
    public static final Kind<Setting> SETTING = new Kind<>("setting", Scope.SEASON, new SettingCodec());

    /** Pictures by their content, for the mats that point to them. */
    public static final Kind<PackedPicture> PICTURE =
            new Kind<>("picture", Scope.SEASON, Codec.plain(MatJson::writePicture, MatJson::parsePicture));

    public static final Kind<Hand> HAND =
            new Kind<>("hand", Scope.SEASON, Codec.plain(ClubJson::write, ClubJson::parseHand));
    public static final Kind<Listing> TEAM = listing("team", Scope.SEASON);
    public static final Kind<Listing> VENUE = listing("venue", Scope.VENUE);
    public static final Kind<Listing> ROBOT = listing("robot", Scope.ROBOT);
    public static final Kind<Listing> TABLE = listing("table", Scope.TABLE);

    public static final Kind<Setup> SETUP = new Kind<>("setup", Scope.ROBOT, new SetupCodec());

    /** What a robot began as: numbers that are still so are guesses. */
    public static final Kind<Setup> BEGUN =
            new Kind<>("begun", Scope.ROBOT, Codec.plain(SetupJson::write, SetupJson::parse));

    /** Lamps, battery and wheels of a robot. */
    public static final Kind<Conditions> CONDITIONS =
            new Kind<>("conditions", Scope.ROBOT, Codec.plain(ConditionsJson::write, ConditionsJson::parse));

    public static final Kind<ColumnMap> COLUMNS =
            new Kind<>("columns", Scope.ROBOT, Codec.plain(ColumnMapJson::write, ColumnMapJson::parse));

    /** What has been typed on a bench card, by card. */
    public static final Kind<List<List<Double>>> ENTRIES =
            new Kind<>("entries", Scope.ROBOT, Codec.plain(EntriesJson::write, EntriesJson::parse));

    /** Measured constants, by constant. */
    public static final Kind<Fact> FACT = new Kind<>("fact", Scope.ROBOT, new FactCodec());

    /** What the gains were last chosen for. */
    public static final Kind<Basis> CHOSEN = new Kind<>("chosen", Scope.ROBOT, new BasisCodec());

    /** What a robot's trials are for, and how many there is time for. */
    public static final Kind<Wish> WISH =
            new Kind<>("wish", Scope.ROBOT, Codec.plain(WishJson::write, WishJson::parse));

    /** Where a robot is to stop, and what it can decide by. */
    public static final Kind<StopPlan> STOP =
            new Kind<>("stop", Scope.ROBOT, Codec.plain(ManoeuvreJson::write, ManoeuvreJson::parseStop));

    /** Photographs by their content, for the runs that point to them. */
    public static final Kind<Photo> PHOTO =
            new Kind<>("photo", Scope.SEASON, Codec.plain(PhotoPack::write, PhotoPack::parse));

    /** The plan of trials that is on its way. */
    public static final Kind<Schedule> PLAN =
            new Kind<>("plan", Scope.SEASON, Codec.plain(ScheduleJson::write, ScheduleJson::parse));

    /** What was last handed over to a robot's program. */
    public static final Kind<HandOver> HANDED =
            new Kind<>("handed", Scope.ROBOT, Codec.plain(HandOverJson::write, HandOverJson::parse));

    /** What was answered in drills. */
    public static final Kind<DrillScore> DRILLS =
            new Kind<>("drills", Scope.SEASON, Codec.plain(DrillJson::write, DrillJson::parse));

    /** Lists to tick off, by occasion. */
    public static final Kind<Checklist> CHECKLIST =
            new Kind<>("checklist", Scope.SEASON, Codec.plain(ChecklistJson::write, ChecklistJson::parse));

    /** A robot's minutes in a new hall. */
    public static final Kind<HallDay> HALL =
            new Kind<>("hall", Scope.ROBOT, Codec.plain(HallJson::write, HallJson::parse));

    /** How a robot's team writes its program. */
    public static final Kind<Style> STYLE =
            new Kind<>("style", Scope.ROBOT, Codec.plain(HandOverJson::write, HandOverJson::parseStyle));

    /** How a robot is to find an obstacle and go round it. */
    public static final Kind<Task> DETOUR =
            new Kind<>("detour", Scope.ROBOT, Codec.plain(ManoeuvreJson::write, ManoeuvreJson::parseDetour));

    /** Which captures the robot's levels were computed from, and under what. */
    public static final Kind<Basis> LEVELS = new Kind<>("levels", Scope.ROBOT, new BasisCodec());

    /** What stands in the program as level, by sensor, in the sensor's own numbers. */
    public static final Kind<Double> TYPED_LEVEL =
            new Kind<>("typed-level", Scope.ROBOT, Codec.plain(NumberJson::write, NumberJson::parse));

    /** What a robot was like when somebody saw that it turns towards the line. */
    public static final Kind<SteeringDirection> DIRECTION_SEEN =
            new Kind<>("direction-seen", Scope.ROBOT, Codec.plain(DirectionJson::write, DirectionJson::parse));

    public static final Kind<Capture> CAPTURE = new Kind<>("capture", Scope.ROBOT, new CaptureCodec());
    public static final Kind<Run> RUN = new Kind<>("run", Scope.ROBOT, new RunCodec());
    public static final Kind<Draft> COURSE =
            new Kind<>("course", Scope.TABLE, Codec.plain(CourseJson::write, CourseJson::parseDraft));
    public static final Kind<MatSheet> MAT =
            new Kind<>("mat", Scope.TABLE, Codec.plain(MatJson::write, MatJson::parse));

    /** In the order in which a season is read: what others point to comes first. */
    public static final List<Kind<?>> ALL = List.of(
            SETTING,
            PICTURE,
            PHOTO,
            PLAN,
            HAND,
            TEAM,
            VENUE,
            ROBOT,
            TABLE,
            SETUP,
            BEGUN,
            CONDITIONS,
            COLUMNS,
            ENTRIES,
            FACT,
            CHOSEN,
            WISH,
            STOP,
            DETOUR,
            HANDED,
            STYLE,
            HALL,
            DRILLS,
            CHECKLIST,
            LEVELS,
            TYPED_LEVEL,
            DIRECTION_SEEN,
            CAPTURE,
            RUN,
            COURSE,
            MAT);

    private Kinds() {}

    private static Kind<Listing> listing(String name, Scope scope) {
        return new Kind<>(name, scope, Codec.plain(ClubJson::write, ClubJson::parseListing));
    }
}
