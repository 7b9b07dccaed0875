package fahrbahn.core.readings;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * A few lines for the robot's own program that print the live line protocol. They name no library: where the program reads a
 * sensor or the clock, the coach puts the team's own call.
 */
public final class LoggerText {
    private LoggerText() {}

    /** @param sensors names of the columns, left to right */
    public static String python(List<String> sensors) {
        String reads = sensors.stream().map(s -> "read_" + identifier(s) + "()").collect(Collectors.joining(", "));
        return """
                # Put your own way of reading each sensor and the clock (in seconds) into these functions.
                def now_s():
                    return 0.0
                %s
                def log_header():
                    print("tS,%s")

                def log_line():
                    values = (%s,)
                    print("%%.3f," %% now_s() + ",".join(str(v) for v in values))

                # Once, before the loop:        log_header()
                # In the loop, after reading:   log_line()
                # Motors off while you measure.
                """.formatted(
                        sensors.stream()
                                .map(s -> "def read_%s():\n    return 0\n".formatted(identifier(s)))
                                .collect(Collectors.joining()),
                        String.join(",", sensors),
                        reads);
    }

    /** For controllers that print to their serial port with printf. */
    public static String cpp(List<String> sensors) {
        String functions = sensors.stream()
                .map(s -> "int read_%s() { return 0; }\n".formatted(identifier(s)))
                .collect(Collectors.joining());
        String format = sensors.stream().map(s -> "%d").collect(Collectors.joining(","));
        String reads = sensors.stream().map(s -> "read_" + identifier(s) + "()").collect(Collectors.joining(", "));
        return """
                // Put your own way of reading each sensor and the clock (in milliseconds) into these functions.
                #include <cstdio>
                unsigned long now_ms() { return 0; }
                %s
                void log_header() { std::printf("tS,%s\\n"); }

                void log_line() {
                    unsigned long t = now_ms();
                    std::printf("%%lu.%%03lu,%s\\n", t / 1000, t %% 1000, %s);
                }

                // Once, before the loop:        log_header();
                // In the loop, after reading:   log_line();
                // Motors off while you measure.
                """.formatted(functions, String.join(",", sensors), format, reads);
    }

    /** What to build where programs are blocks. */
    public static String blocks(List<String> sensors) {
        StringBuilder text = new StringBuilder();
        text.append("1. At the start, one block that prints the text:  tS,")
                .append(String.join(",", sensors))
                .append("\n2. Reset a timer. Make a loop that runs forever.\n");
        text.append("3. In the loop, join into one text: the timer in seconds");
        for (String sensor : sensors) {
            text.append(", a comma, the reading of ").append(sensor);
        }
        text.append(".\n4. Print that text as one line. Let nothing else print.\n");
        text.append("5. Write it to the serial port, or to a file that this program follows as it grows.\n");
        text.append(
                "   Should your blocks print only one number, print the sensors one after the other in the order\n");
        text.append("   above, joined by commas; the time may be left out.\n6. Motors off while you measure.\n");
        return text.toString();
    }

    private static String identifier(String name) {
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "_");
        return plain.isEmpty() || Character.isDigit(plain.charAt(0)) ? "s" + plain : plain;
    }
}
