package fahrbahn.headless;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.store.BadFileException;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Entry of the headless commands. */
@Command(
        name = "fahrbahn",
        subcommands = {
            LaneCommand.class,
            LevelsCommand.class,
            DriveCommand.class,
            TrialsCommand.class,
            BenchRobotCommand.class
        })
public final class Headless {
    static final int BAD_INPUT = 2;

    private Headless() {}

    public static void main(String[] arguments) {
        System.exit(commandLine().execute(arguments));
    }

    /** The command line, ready to execute; its messages go to standard error. */
    public static CommandLine commandLine() {
        CommandLine commands = new CommandLine(new Headless());
        commands.setExecutionExceptionHandler((problem, command, parsed) -> {
            if (problem instanceof BadValueException
                    || problem instanceof BadFileException
                    || problem instanceof BadReadingsException) {
                command.getErr().println(problem.getMessage());
                return BAD_INPUT;
            }
            throw problem;
        });
        return commands;
    }
}
