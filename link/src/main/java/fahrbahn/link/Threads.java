package fahrbahn.link;

import java.util.concurrent.ThreadFactory;

public final class Threads {
    private Threads() {}

    /** Threads that do not keep the program alive. */
    public static ThreadFactory daemon(String name) {
        return work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }
}
