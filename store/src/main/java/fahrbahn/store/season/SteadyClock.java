package fahrbahn.store.season;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/**
 * The time of a season: that of the computer, but never earlier than what the season already holds. A clock that was set back, or an empty
 * battery that sends it years back, would put what is captured now before what was captured last week.
 */
final class SteadyClock extends Clock {
    private final Clock computer;
    private Instant last;
    private Duration ahead = Duration.ZERO;

    /** @param last the latest time there is in the season */
    SteadyClock(Clock computer, Instant last) {
        this.computer = computer;
        this.last = last;
    }

    /** How far this clock is ahead of the computer's; zero unless that was set back. */
    synchronized Duration ahead() {
        instant();
        return ahead;
    }

    @Override
    public synchronized Instant instant() {
        Instant now = computer.instant().plus(ahead);
        if (now.isBefore(last)) {
            ahead = ahead.plus(Duration.between(now, last));
            now = last;
        }
        last = now;
        return now;
    }

    @Override
    public ZoneId getZone() {
        return computer.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new SteadyClock(computer.withZone(zone), last);
    }
}
