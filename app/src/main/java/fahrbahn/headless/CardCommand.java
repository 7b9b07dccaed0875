package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.card.CardFile;
import fahrbahn.card.CardWords;
import fahrbahn.card.PitCard;
import fahrbahn.card.SeasonCards;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.Taken;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.pen.Paper;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.json.SetupJson;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "card", description = "The page a crew takes to the table, of a season's robots or of a setup.")
final class CardCommand extends JsonCommand {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final String SEASON = ".fahrbahn";

    @Parameters(paramLabel = "SEASON.fahrbahn|SETUP.json")
    private Path from;

    @Option(names = "--out", required = true, paramLabel = "FILE", description = "FILE.pdf, FILE.png or FILE.svg")
    private Path out;

    @Option(names = "--paper", paramLabel = "SIZE", description = "a4 or letter")
    private String paper = "a4";

    @Option(names = "--numbers", paramLabel = "KIND", description = "any, 3, 2, 1, hundredths or whole")
    private String numbers;

    @Option(names = "--robot", paramLabel = "NAME", description = "of this robot of the season alone")
    private String robot;

    @Override
    protected ObjectNode answer() throws BadFileException {
        String name =
                out.getFileName() == null ? "" : out.getFileName().toString().toLowerCase(Locale.ROOT);
        if (!name.matches(".*\\.(pdf|png|svg)")) {
            throw new BadValueException("--out", "'" + out + "'", "a name that ends in .pdf, .png or .svg");
        }
        Export.notOver(from, "--out", out);
        Paper size = oneOf("--paper", paper, Paper.values(), p -> p.word().toLowerCase(Locale.ROOT));
        Optional<Grain> grain =
                Optional.ofNullable(numbers).map(n -> oneOf("--numbers", n, Grain.values(), Grain::word));
        List<PitCard> cards = cards(grain);
        CardFile.write(cards, size, out);
        boolean all = name.endsWith(".pdf");
        var answer = Json.object().put("file", out.toString());
        var told = answer.putArray("cards");
        cards.subList(0, all ? cards.size() : 1).forEach(card -> {
            var one = told.addObject().put("robot", card.heading().robot());
            var typed = one.putObject("numbers");
            card.all().forEach(n -> typed.put(n.name(), n.value()));
            card.stale().forEach(one.putArray("stale")::add);
        });
        return answer;
    }

    private List<PitCard> cards(Optional<Grain> grain) throws BadFileException {
        String day = DAY.format(LocalDate.now(Clock.systemDefaultZone()));
        if (!from.toString().endsWith(SEASON)) {
            return List.of(CardWords.card(
                    Taken.of(SetupJson.read(from), grain.orElse(Grain.ANY)), "", day, Optional.empty(), List.of()));
        }
        List<PitCard> cards = SeasonCards.of(from, Clock.systemUTC(), day, grain).stream()
                .filter(card -> robot == null || card.heading().robot().equals(robot))
                .toList();
        if (cards.isEmpty()) {
            throw robot == null
                    ? new BadValueException(
                            "SEASON", "'" + from + "'", "a season with a robot whose numbers are typed in")
                    : new BadValueException("--robot", "'" + robot + "'", "the name of a robot of the season");
        }
        return cards;
    }

    private static <E> E oneOf(String option, String word, E[] values, Function<E, String> name) {
        return Arrays.stream(values)
                .filter(value -> name.apply(value).equals(word))
                .findFirst()
                .orElseThrow(() -> new BadValueException(
                        option,
                        "'" + word + "'",
                        Arrays.stream(values).map(name).collect(Collectors.joining(", "))));
    }
}
