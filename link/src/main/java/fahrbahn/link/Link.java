package fahrbahn.link;

/** An open connection to a robot. Closing it twice does no harm; after it is closed the listener hears nothing more. */
public interface Link extends AutoCloseable {
    /** Where the readings come from, in words, to be kept with each capture. */
    String source();

    /** Sends one line to the robot; ignored by a robot that does not listen. Never blocks for long, never throws. */
    void send(String line);

    @Override
    void close();
}
