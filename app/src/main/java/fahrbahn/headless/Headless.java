package fahrbahn.headless;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Text;
import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.headless.kit.PlainWriter;
import fahrbahn.store.file.BadFileException;
import java.util.Locale;
import java.util.regex.Pattern;
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
            MarksCommand.class,
            StepsCommand.class,
            CodeCommand.class,
            CardCommand.class,
            MapCommand.class,
            AdviseCommand.class,
            NextCommand.class,
            CompareCommand.class,
            RunLogCommand.class,
            PlanCommand.class,
            TuningBenchmarkCommand.class,
            CheckCommand.class,
            BenchRobotCommand.class
        })
public final class Headless {
    static final int BAD_INPUT = 2;

    private static final Pattern WHOLE = Pattern.compile("[+-]?[0-9]+");
    private static final int MOST_LETTERS = 40;

    private Headless() {}

    public static void main(String[] arguments) {
        Locale.setDefault(Locale.ROOT);
        System.exit(run(commandLine(), arguments));
    }

    /** Never a stack trace: what nobody foresaw is told in words like everything else. */
    public static int run(CommandLine commands, String... arguments) {
        try {
            return commands.execute(arguments);
        } catch (OutOfMemoryError tooMuch) {
            commands.getErr().println("The memory does not hold that. Give it less: a smaller table, fewer runs.");
        } catch (StackOverflowError tooDeep) {
            commands.getErr().println("The input nests too deeply to be read.");
        } catch (RuntimeException | Error unforeseen) {
            commands.getErr().println(unforeseen(unforeseen));
        }
        return BAD_INPUT;
    }

    /** In the digits 0 to 9 alone: Java itself takes those of every script. */
    private static long whole(String typed, long most) {
        try {
            long value = WHOLE.matcher(typed).matches() ? Long.parseLong(typed) : Long.MIN_VALUE;
            if (value >= -most && value <= most) {
                return value;
            }
        } catch (NumberFormatException tooLong) {
            // As any other that is none.
        }
        throw new CommandLine.TypeConversionException(
                "'" + Text.plain(typed, MOST_LETTERS) + "' is not a whole number from -" + most + " to " + most);
    }

    private static String unforeseen(Throwable broken) {
        return "Something went wrong ("
                + broken.getClass().getSimpleName() + ": " + broken.getMessage()
                + "). Please report it with the input.";
    }

    /** The command line, ready to execute; its messages go to standard error. */
    public static CommandLine commandLine() {
        CommandLine commands = new CommandLine(new Headless())
                .setOut(PlainWriter.of(System.out))
                .setErr(PlainWriter.of(System.err))
                .setColorScheme(CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.OFF))
                .registerConverter(int.class, typed -> Math.toIntExact(whole(typed, Integer.MAX_VALUE)))
                .registerConverter(long.class, typed -> whole(typed, Long.MAX_VALUE));
        commands.setExecutionExceptionHandler((problem, command, parsed) -> {
            boolean told = problem instanceof BadValueException
                    || problem instanceof BadFileException
                    || problem instanceof BadReadingsException;
            command.getErr().println(told ? problem.getMessage() : unforeseen(problem));
            return BAD_INPUT;
        });
        return commands;
    }
}
