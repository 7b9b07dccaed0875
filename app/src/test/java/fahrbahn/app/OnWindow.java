package fahrbahn.app;

import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeoutException;
import org.testfx.util.WaitForAsyncUtils;

/** The one way for a test to the window's thread. Where that never answers, it says where every thread stands. */
final class OnWindow {
    /** So long no machine takes, however busy. */
    static final int PATIENCE_S = 300;

    private OnWindow() {}

    static <T> T call(Callable<T> work) {
        try {
            return WaitForAsyncUtils.waitForAsyncFx(PATIENCE_S * 1000L, work);
        } catch (RuntimeException late) {
            if (late.getCause() instanceof TimeoutException) {
                throw new AssertionError("the window's thread never answered:" + threads(), late);
            }
            throw late;
        }
    }

    static void run(Runnable work) {
        call(() -> {
            work.run();
            return null;
        });
    }

    private static String threads() {
        StringBuilder all = new StringBuilder();
        for (Map.Entry<Thread, StackTraceElement[]> each :
                Thread.getAllStackTraces().entrySet()) {
            all.append("\n").append(each.getKey().getName());
            for (StackTraceElement at : each.getValue()) {
                all.append("\n    ").append(at);
            }
        }
        return all.toString();
    }
}
