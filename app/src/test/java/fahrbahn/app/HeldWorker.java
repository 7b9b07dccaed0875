package fahrbahn.app;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.Executor;

/** Works at once, until it is held; then when it is told to. */
public final class HeldWorker implements Executor {
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private boolean held;

    @Override
    public void execute(Runnable work) {
        if (held) {
            waiting.add(work);
        } else {
            work.run();
        }
    }

    public void hold() {
        held = true;
    }

    public int waiting() {
        return waiting.size();
    }

    /** What was asked for by now, and what is asked for by that. */
    public void work() {
        while (!waiting.isEmpty()) {
            waiting.remove().run();
        }
    }
}
