/**
 * What every view is made of: actions with their keys, fields, pages, and regions that paint themselves. Knows no station.
 */
package fahrbahn.app.kit;
