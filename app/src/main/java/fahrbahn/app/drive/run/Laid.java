package fahrbahn.app.drive.run;

import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.table.Ground;

/** A table the twin can drive, and how results remember it. */
public record Laid(TablePrint print, Ground ground) {
    public String name() {
        return print.name();
    }
}
