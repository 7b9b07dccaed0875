package fahrbahn.core.hall;

import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToIntFunction;
import java.util.function.UnaryOperator;

/**
 * A list to tick off, which learns: what was forgotten or went stale before stands first.
 *
 * @param items in the order of the list
 */
public record Checklist(List<Item> items) {
    private static final int MOST = 60;

    /** When a list is gone through. */
    public enum Occasion {
        PACK,
        ARRIVE,
        BEFORE_RUN,
        AFTER_RUN
    }

    /** @param forgotten how often it was, this season */
    public record Item(String words, int forgotten, boolean done) {
        public Item {
            Check.text("words", words, "what is to be done");
            Check.between("forgotten", forgotten, 0, Integer.MAX_VALUE);
        }

        Item ticked(boolean newDone) {
            return new Item(words, forgotten, newDone);
        }
    }

    public Checklist {
        Check.between("items", items.size(), 0, MOST);
        items = List.copyOf(items);
    }

    /** None of it done or ever forgotten. */
    public static Checklist of(List<String> words) {
        return new Checklist(words.stream().map(w -> new Item(w, 0, false)).toList());
    }

    /** Most often forgotten first; what was never keeps its place. */
    public Checklist learned() {
        return learned(item -> 0);
    }

    /** The same, where it is known of things by their words too how often they went stale. */
    public Checklist learned(ToIntFunction<String> stale) {
        return new Checklist(items.stream()
                .sorted(Comparator.comparingInt((Item i) -> -i.forgotten() - stale.applyAsInt(i.words())))
                .toList());
    }

    private Checklist with(int index, UnaryOperator<Item> change) {
        List<Item> all = new ArrayList<>(items);
        all.set(index, change.apply(all.get(index)));
        return new Checklist(all);
    }

    /** Done, or not done after all. */
    public Checklist tick(int index) {
        return with(index, item -> item.ticked(!item.done()));
    }

    /** It was forgotten this time: from now on it stands before what was not. */
    public Checklist forgot(int index) {
        return with(index, item -> new Item(item.words(), item.forgotten() + 1, item.done()))
                .learned();
    }

    public Checklist add(String words) {
        List<Item> all = new ArrayList<>(items);
        all.add(new Item(words.strip(), 0, false));
        return new Checklist(all);
    }

    public Checklist remove(int index) {
        List<Item> all = new ArrayList<>(items);
        all.remove(index);
        return new Checklist(all);
    }

    /** For the next time: nothing of it is done. */
    public Checklist anew() {
        return new Checklist(items.stream().map(i -> i.ticked(false)).toList());
    }

    public int left() {
        return (int) items.stream().filter(i -> !i.done()).count();
    }
}
