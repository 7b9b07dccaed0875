package fahrbahn.core.language;

import fahrbahn.core.program.Grain;

/** How a team writes its programs: in which language, and with which numbers. */
public record Style(Language language, Grain grain) {
    public static final Style USUAL = new Style(Language.PYTHON, Grain.THREE);

    public Style withLanguage(Language newLanguage) {
        return new Style(newLanguage, grain);
    }

    public Style withGrain(Grain newGrain) {
        return new Style(language, newGrain);
    }
}
