package fahrbahn.headless;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.language.Language;
import fahrbahn.core.setup.Setup;
import fahrbahn.headless.kit.SetupFile;
import fahrbahn.store.file.BadFileException;
import java.util.Arrays;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(name = "code", description = "A setup's law as a program in the team's language.")
final class CodeCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Mixin
    private SetupFile setupFile;

    @Option(names = "--language", required = true, paramLabel = "LANGUAGE", description = "python, cpp, java or blocks")
    private String wanted;

    @Override
    public Integer call() throws BadFileException {
        Language language = language(wanted);
        Setup setup = setupFile.read();
        spec.commandLine().getOut().print(language.program(setup));
        spec.commandLine().getOut().flush();
        return 0;
    }

    private static Language language(String word) {
        return Arrays.stream(Language.values())
                .filter(language -> language.word().equals(word))
                .findFirst()
                .orElseThrow(() -> new BadValueException(
                        "--language",
                        "'" + word + "'",
                        Arrays.stream(Language.values()).map(Language::word).collect(Collectors.joining(", "))));
    }
}
