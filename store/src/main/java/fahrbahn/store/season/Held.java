package fahrbahn.store.season;

import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Put;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The documents by kind, owner and identifier. */
public final class Held {
    private final Map<Kind<?>, Map<String, Map<String, Object>>> byKind = new HashMap<>();

    private Map<String, Object> of(Kind<?> kind, String owner) {
        return byKind.getOrDefault(kind, Map.of()).getOrDefault(owner, Map.of());
    }

    @SuppressWarnings("unchecked") // a document is put under its kind only with a value of that kind
    <T> Optional<T> get(Kind<T> kind, String owner, String id) {
        return Optional.ofNullable((T) of(kind, owner).get(id));
    }

    @SuppressWarnings("unchecked") // as above
    <T> Map<String, T> all(Kind<T> kind, String owner) {
        return (Map<String, T>) Collections.unmodifiableMap(of(kind, owner));
    }

    Set<String> owners(Kind<?> kind) {
        Set<String> owners = new LinkedHashSet<>();
        byKind.getOrDefault(kind, Map.of()).forEach((owner, all) -> {
            if (!all.isEmpty()) {
                owners.add(owner);
            }
        });
        return owners;
    }

    <T> boolean changes(Put<T> put) {
        return !get(put.kind(), put.owner(), put.id()).equals(put.value());
    }

    <T> void put(Put<T> put) {
        Map<String, Object> all = byKind.computeIfAbsent(put.kind(), k -> new LinkedHashMap<>())
                .computeIfAbsent(put.owner(), o -> new LinkedHashMap<>());
        if (put.value().isPresent()) {
            all.put(put.id(), put.value().get());
        } else {
            all.remove(put.id());
        }
    }

    /** What puts back what is there now, in reverse order. */
    List<Put<?>> before(List<Put<?>> puts) {
        List<Put<?>> before = new ArrayList<>();
        puts.forEach(put -> before.add(0, asNow(put)));
        return before;
    }

    private <T> Put<T> asNow(Put<T> put) {
        return new Put<>(put.kind(), put.owner(), put.id(), get(put.kind(), put.owner(), put.id()), Optional.empty());
    }
}
