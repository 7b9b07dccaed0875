package fahrbahn.link;

import java.io.IOException;

/** What is at the other end of a link does not look like a robot; there is no use in trying again. */
final class NoRobotException extends IOException {
    private static final long serialVersionUID = 1L;

    /** @param why to read after "does not look like a robot: " */
    NoRobotException(String why) {
        super(why);
    }
}
