package fahrbahn.headless.kit;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.job.Job;
import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.store.file.BadFileException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** A command that answers in JSON on standard output, and says on standard error how far it is. */
public abstract class JsonCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Override
    public final Integer call() throws BadFileException, BadReadingsException {
        Json.print(spec, answer());
        return 0;
    }

    protected abstract ObjectNode answer() throws BadFileException, BadReadingsException;

    /** For work that may take a while. */
    protected final Job progress() {
        return new Progress(messages(), System::nanoTime);
    }

    protected final PrintWriter messages() {
        return spec.commandLine().getErr();
    }
}
