package fahrbahn.store.season;

import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Turns bodies into values; what cannot be read is named and left alone. */
final class SeasonReader {
    private final Map<String, Kind<?>> kinds = new HashMap<>();
    private final Shared shared;
    private final List<String> leftOut;

    SeasonReader(Shared shared, List<String> leftOut) {
        this.shared = shared;
        this.leftOut = leftOut;
        Kinds.ALL.forEach(k -> kinds.put(k.name(), k));
    }

    /** Documents of the kinds this version knows that are as they were written and make no sense all the same, in words. */
    static List<String> senseless(List<Change> all) {
        List<String> named = new ArrayList<>();
        new SeasonReader(new Shared(), named).known(byKind(all));
        return named;
    }

    private static Map<String, List<Change>> byKind(List<Change> all) {
        Map<String, List<Change>> byKind = new HashMap<>();
        all.forEach(
                c -> byKind.computeIfAbsent(c.kind(), k -> new ArrayList<>()).add(c));
        return byKind;
    }

    private Held known(Map<String, List<Change>> byKind) {
        Held held = new Held();
        for (Kind<?> kind : Kinds.ALL) {
            for (Change change : byKind.getOrDefault(kind.name(), List.of())) {
                read(kind, change).map(OlderSeason::adopted).ifPresent(held::put);
            }
        }
        return held;
    }

    Held held(List<Change> all) {
        Map<String, List<Change>> byKind = byKind(all);
        Held held = known(byKind);
        byKind.keySet().stream()
                .filter(k -> !kinds.containsKey(k))
                .forEach(k -> leftOut.add("documents of the kind '" + k + "', which this version does not know"));
        return held;
    }

    List<Put<?>> puts(List<Change> changes) {
        List<Put<?>> puts = new ArrayList<>();
        for (Change change : changes) {
            Kind<?> kind = kinds.get(change.kind());
            if (kind != null && !kind.equals(Kinds.SETTING) && !kind.equals(Kinds.PICTURE)) {
                read(kind, change).map(OlderSeason::adopted).ifPresent(puts::add);
            }
        }
        return puts;
    }

    private <T> Optional<Put<T>> read(Kind<T> kind, Change change) {
        try {
            Optional<T> value = change.body().isEmpty()
                    ? Optional.empty()
                    : Optional.of(kind.codec().read(change.id(), change.body().get(), shared));
            return Optional.of(new Put<>(kind, change.owner(), change.id(), value, Optional.empty()));
        } catch (BadFileException | RuntimeException unreadable) {
            leftOut.add(kind.name() + " " + change.id() + " (" + unreadable.getMessage() + ")");
            return Optional.empty();
        }
    }
}
