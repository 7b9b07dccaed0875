package fahrbahn.link;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.readings.Reading;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Predicate;

/** Hears a link and keeps everything, for tests that wait for it. */
public final class Ears implements LinkListener {
    /** So long no machine takes, however busy. */
    static final int PATIENCE_S = 300;

    /** Of the link: stands still until a test moves it. */
    final AtomicLong nowNs = new AtomicLong();

    public final LinkTimes times = new LinkTimes(nowNs::get, 1);

    final BlockingQueue<Reading> readings = new LinkedBlockingQueue<>();
    final BlockingQueue<String> away = new LinkedBlockingQueue<>();
    final BlockingQueue<String> lost = new LinkedBlockingQueue<>();
    public final BlockingQueue<String> said = new LinkedBlockingQueue<>();
    volatile List<String> sensors = List.of();
    volatile long brokenLines;

    @Override
    public void reading(List<String> names, Reading reading) {
        sensors = names;
        readings.add(reading);
    }

    @Override
    public void broken(long lines) {
        brokenLines = lines;
    }

    @Override
    public void said(String words) {
        said.add(words);
    }

    @Override
    public void away(String why) {
        away.add(why);
    }

    @Override
    public void lost(String why) {
        lost.add(why);
    }

    /** The next reading that has what is looked for. */
    public Reading await(String what, Predicate<Reading> wanted) throws InterruptedException {
        Reading reading = readings.poll(PATIENCE_S, TimeUnit.SECONDS);
        while (reading != null && !wanted.test(reading)) {
            reading = readings.poll(PATIENCE_S, TimeUnit.SECONDS);
        }
        assertThat(reading).as(what).isNotNull();
        return reading;
    }

    String awaitAway() throws InterruptedException {
        String why = away.poll(PATIENCE_S, TimeUnit.SECONDS);
        assertThat(why).as("told that it is away").isNotNull();
        return why;
    }
}
