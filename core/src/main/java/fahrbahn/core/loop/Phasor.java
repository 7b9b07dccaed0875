package fahrbahn.core.loop;

/**
 * A complex number without the library's guards for infinities: a chain of these is worked out in registers, nothing is allocated, and a
 * scan for the onset takes half the time (docs/performance.md).
 */
record Phasor(double re, double im) {
    /** Of length one at this angle, rad. */
    static Phasor at(double angle) {
        return new Phasor(Math.cos(angle), Math.sin(angle));
    }

    Phasor plus(Phasor other) {
        return new Phasor(re + other.re, im + other.im);
    }

    Phasor plus(double real) {
        return new Phasor(re + real, im);
    }

    Phasor times(Phasor other) {
        return new Phasor(re * other.re - im * other.im, re * other.im + im * other.re);
    }

    Phasor times(double real) {
        return new Phasor(re * real, im * real);
    }

    Phasor over(Phasor other) {
        double square = other.re * other.re + other.im * other.im;
        return new Phasor((re * other.re + im * other.im) / square, (im * other.re - re * other.im) / square);
    }

    Phasor conjugate() {
        return new Phasor(re, -im);
    }
}
