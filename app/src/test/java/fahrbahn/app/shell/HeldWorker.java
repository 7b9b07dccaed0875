package fahrbahn.app.shell;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.Executor;

/** Works at once, until it is held; then when it is told to. */
final class HeldWorker implements Executor {
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

    void hold() {
        held = true;
    }

    int waiting() {
        return waiting.size();
    }

    /** What was asked for by now, and what is asked for by that. */
    void work() {
        while (!waiting.isEmpty()) {
            waiting.remove().run();
        }
    }
}
