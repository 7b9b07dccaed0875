/** How few trials a tuner needs, measured on robots drawn for it. */
package fahrbahn.core.benchmark;
