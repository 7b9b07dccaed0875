package fahrbahn.store.exchange;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Uid;
import fahrbahn.core.check.PlainText;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.Plan;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;

/** A plan as appointments (iCalendar, RFC 5545), one for each block, for phones and calendars. */
public final class PlanCalendar {
    private static final String PRODUCT = "-//Fahrbahn//plan//EN";

    private static final int MOST_OCTETS = 75;

    private PlanCalendar() {}

    /**
     * Writes it whole or not at all.
     *
     * @param begins when the plan begins
     * @throws BadFileException when the file cannot be written
     */
    public static void write(Path file, Plan plan, Instant begins) throws BadFileException {
        Export.text(file, text(plan, begins));
    }

    static String text(Plan plan, Instant begins) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId(PRODUCT);
        int number = 1;
        for (Block block : plan.blocks()) {
            VEvent event = new VEvent();
            event.setUid(new Uid("plan-" + begins.getEpochSecond() + "-" + number++ + "@fahrbahn"));
            event.setDateTimeStamp(Date.from(begins));
            event.setDateStart(at(begins, block.startS()));
            event.setDateEnd(at(begins, block.endS()));
            event.setSummary(PlainText.of(summary(block)));
            event.setLocation(PlainText.of(block.table()));
            calendar.addEvent(event);
        }
        return folded(Biweekly.write(calendar).go());
    }

    /** RFC 5545, section 3.1: no line is longer than 75 octets, and none is broken inside a character; the library counts letters. */
    private static String folded(String text) {
        StringBuilder folded = new StringBuilder(text.length());
        for (String line : text.replace("\r\n ", "").split("\r\n")) {
            int octets = 0;
            for (int at = 0; at < line.length(); ) {
                int letter = line.codePointAt(at);
                int its = Character.toString(letter).getBytes(StandardCharsets.UTF_8).length;
                if (octets + its > MOST_OCTETS) {
                    folded.append("\r\n ");
                    octets = 1;
                }
                folded.appendCodePoint(letter);
                octets += its;
                at += Character.charCount(letter);
            }
            folded.append("\r\n");
        }
        return folded.toString();
    }

    private static Date at(Instant begins, double seconds) {
        return Date.from(begins.plus(Duration.ofMillis(Math.round(1000 * seconds))));
    }

    private static String summary(Block block) {
        String who = block.robot().isEmpty() ? block.team() : block.team() + ", " + block.robot();
        return switch (block.what()) {
            case STRAIGHT -> who + ": a straight with " + block.setting();
            case BENDS -> who + ": bends with " + block.setting();
            case KP_STEP, KD_STEP, RUN -> who + ": run with " + block.setting();
            case CONFIRM -> who + ": confirm " + block.setting();
            case CHECK -> who + ": sign check and a slow run";
            case BATTERY -> who + ": fresh battery";
            case CALIBRATE -> who + ": capture light and dark again";
        };
    }
}
