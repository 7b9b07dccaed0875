package fahrbahn.app.errand;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.Executor;

/** Holds work back until it is opened, then passes it on as it comes. */
public final class Gate implements Executor {
    private final Executor behind;
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private boolean open;

    public Gate(Executor behind) {
        this.behind = behind;
    }

    @Override
    public synchronized void execute(Runnable work) {
        if (open) {
            behind.execute(work);
        } else {
            waiting.add(work);
        }
    }

    public synchronized void open() {
        open = true;
        waiting.forEach(behind::execute);
        waiting.clear();
    }
}
