/** Tables of text: {@link fahrbahn.core.csv.CsvRows} reads what the formats of readings and of runs have in common. */
package fahrbahn.core.csv;
