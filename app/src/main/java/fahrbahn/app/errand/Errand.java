package fahrbahn.app.errand;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.store.file.BadFileException;
import fahrbahn.words.Refusals;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

/**
 * The one way to work in the background: a place for one piece of work, its result handed over on the interface thread. Newer work
 * takes the place of older, which is not begun any more, or asked to stop; nothing of it is shown. Belongs to the interface thread.
 */
public final class Errand<T> {
    private static final Logger LOG = Logger.getLogger(Errand.class.getName());
    private static final int STEPS = 25;

    /** At least so long between two changes of a bar. */
    private static final long STEP_NS = 250_000_000L;

    private final Errands errands;
    private final String what;
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper(false);
    private Watched now = new Watched();

    /** The work; asks its job now and then whether to go on. */
    public interface Work<T> {
        T run(Job job) throws BadFileException;
    }

    /** Followed by the window's frames, stopped by its button or by newer work. */
    private static final class Watched implements Job {
        private volatile boolean cancelled;
        private volatile boolean enough;
        private volatile double share;
        private double shown;
        private long shownNs = System.nanoTime() - STEP_NS;

        /** On the interface thread. */
        double shown() {
            long nowNs = System.nanoTime();
            if (nowNs - shownNs >= STEP_NS || share >= 1) {
                shown = Math.floor(share * STEPS) / STEPS;
                shownNs = nowNs;
            }
            return shown;
        }

        @Override
        public boolean cancelled() {
            return cancelled || enough;
        }

        @Override
        public void progress(int done, int of) {
            share = (double) done / of;
        }
    }

    Errand(Errands errands, String what) {
        this.errands = errands;
        this.what = what;
        running.addListener((o, was, is) -> {
            if (is) {
                errands.working().begun();
            } else {
                errands.working().ended();
            }
        });
    }

    /** True from the moment the work is asked for until it has ended. */
    public ReadOnlyBooleanProperty runningProperty() {
        return running.getReadOnlyProperty();
    }

    /**
     * How far the work is, 0 to 1, in steps of {@code 1 / STEPS} and four times a second at most: without a graphics card each change of a bar
     * hands the whole window to the screen anew, which at sixty changes a second takes half a core away from the work.
     */
    public double progress() {
        return now.shown();
    }

    /** Asks for work; what refuses or breaks it is told on the notice line. */
    public void run(Work<T> work, Consumer<T> done) {
        runToEnd(work, ending -> {
            if (ending instanceof Ending.Done<T> result) {
                done.accept(result.result());
            } else if (!Ending.words(ending).isEmpty()) {
                errands.tell().accept(Ending.words(ending));
            }
        });
    }

    /**
     * Asks for work.
     *
     * @param ended told how it ended, unless newer work or {@link #stop} took its place
     */
    public void runToEnd(Work<T> work, Consumer<Ending<T>> ended) {
        now.cancelled = true;
        Watched mine = new Watched();
        now = mine;
        running.set(true);
        errands.worker().execute(() -> {
            if (mine.cancelled) {
                return; // nobody looks at it any more
            }
            Ending<T> ending = ending(work, mine);
            errands.interfaceThread().execute(() -> {
                if (mine == now && !mine.cancelled) {
                    running.set(false);
                    ended.accept(ending);
                }
            });
        });
    }

    /** Work that has something to show before it is done. */
    @FunctionalInterface
    public interface PartWork<T> {
        /** @param part takes what there is so far */
        T run(Job job, Consumer<T> part) throws BadFileException;
    }

    /**
     * Asks for work that shows parts of its result on the way.
     *
     * @param shown told of each part and of the whole, unless newer work or {@link #stop} took its place
     * @param ended told how it ended, likewise
     */
    public void runInParts(PartWork<T> work, Consumer<T> shown, Consumer<Ending<T>> ended) {
        Watched[] mine = new Watched[1];
        runToEnd(
                job -> {
                    mine[0] = (Watched) job;
                    return work.run(
                            job,
                            part -> errands.interfaceThread().execute(() -> {
                                if (mine[0] == now && !mine[0].cancelled) {
                                    shown.accept(part);
                                }
                            }));
                },
                ending -> {
                    if (ending instanceof Ending.Done<T> done) {
                        shown.accept(done.result());
                    }
                    ended.accept(ending);
                });
    }

    private Ending<T> ending(Work<T> work, Job job) {
        try {
            return new Ending.Done<>(work.run(job));
        } catch (CancelledException stopped) {
            return new Ending.Stopped<>();
        } catch (RefusedException refused) {
            return new Ending.Refused<>(refused.getMessage());
        } catch (BadValueException | BadFileException refused) {
            return new Ending.Refused<>(Refusals.sentence(refused));
        } catch (RuntimeException | OutOfMemoryError broken) {
            LOG.log(Level.SEVERE, what, broken);
            String why = broken instanceof OutOfMemoryError ? "the memory is full" : broken.getMessage();
            return new Ending.Broken<>(
                    what + " could not be done: " + why + ". Nothing was changed; details are in the log.");
        }
    }

    /** Ends the work at hand early: what is done of it is handed over as its result, where the work can; before anything is done it is stopped. */
    public void endEarly() {
        if (now.share > 0) {
            now.enough = true;
        } else {
            stop();
        }
    }

    /** Stops the work at hand; nothing of it is shown. */
    public void stop() {
        now.cancelled = true;
        running.set(false);
    }
}
