/** The demo season: a made-up club's robot, its captures taken from the bench robot, and a few runs of the twin. */
package fahrbahn.app.demo;
