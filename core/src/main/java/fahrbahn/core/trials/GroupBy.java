package fahrbahn.core.trials;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.setup.Law;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** By what runs are put into groups that can be compared. */
public enum GroupBy {
    /** Robot, line and law by their content. */
    SETTING {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            return List.of(run.setting());
        }
    },
    /** The law with its options, whatever the gains and the speed. */
    PROGRAM {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            Law law = run.setting().setup().law();
            return List.of(law.withGains(0, 0, 0).withBaseCommand(1).withTarget(0));
        }
    },
    ROBOT {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            return List.of(run.robot());
        }
    },
    WHEELS {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            return List.of(run.basis().conditions().wheels());
        }
    },
    DAY {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            return List.of(LocalDate.ofInstant(run.at(), zone));
        }
    },
    TABLE {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            return List.of(run.basis().table());
        }
    },
    VENUE {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            return List.of(run.basis().conditions().venue());
        }
    },
    /** A run with two tags is in two groups, one with none is in none. */
    TAG {
        @Override
        List<Object> keys(Run run, ZoneId zone) {
            return List.copyOf(run.tags());
        }
    };

    abstract List<Object> keys(Run run, ZoneId zone);

    /** Runs of one sort. @param key what they have in common: text, a day, a setting, a law or a table */
    public record Runs(Object key, List<Run> runs) {
        public Runs {
            runs = List.copyOf(runs);
        }

        /** Their outcomes, under a name. */
        public Group named(String name) {
            return new Group(name, runs.stream().map(Run::outcome).toList());
        }

        /** What the newest of them rests on. */
        public Basis basis() {
            return runs.get(runs.size() - 1).basis();
        }
    }

    /**
     * The groups, that of the newest run first.
     *
     * @param all oldest first
     * @param zone in which days begin
     */
    public List<Runs> groups(List<Run> all, ZoneId zone) {
        Map<Object, List<Run>> groups = new LinkedHashMap<>();
        for (int i = all.size() - 1; i >= 0; i--) {
            for (Object key : keys(all.get(i), zone)) {
                groups.computeIfAbsent(key, k -> new ArrayList<>()).add(all.get(i));
            }
        }
        groups.values().forEach(Collections::reverse);
        return groups.entrySet().stream()
                .map(e -> new Runs(e.getKey(), e.getValue()))
                .toList();
    }
}
