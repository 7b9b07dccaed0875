/**
 * Where live readings come from: robots over a link, and the stand-in that plays one.
 *
 * <p>Every {@link fahrbahn.link.Link} delivers the same events to a {@link fahrbahn.link.LinkListener}, on a thread of its own.
 * {@link fahrbahn.link.bench.BenchRobot} is a simulated robot; {@link fahrbahn.link.bench.BenchLink} runs it inside this program,
 * {@link fahrbahn.link.bench.BenchRobotServer} lets it speak the live line protocol over TCP, and {@link fahrbahn.link.TcpLink} listens
 * to that or to a real robot.
 */
package fahrbahn.link;
