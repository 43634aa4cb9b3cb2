package org.ostendum.app.draw;

import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;
import org.ostendum.core.change.Beam;

/** A beam from the front: its notches, the two that are right, and the chains down to the battery's eyes. */
public final class BeamSketch {
    private static final double MIDDLE = Sketch.WIDTH / 2.0;
    private static final double HALF_BEAM = 300;
    private static final double HALF_BATTERY = 284;
    private static final double BESIDE_EYES = 26;
    private static final double BEAM_TOP = 40;
    private static final double BEAM_FOOT = 62;
    private static final double LONGEST_CHAIN = 3000;

    private BeamSketch() {}

    /** @param kilograms of the battery; 0 where nobody has said */
    public static Sketch of(Beam beam, int eyesMillimetres, int kilograms, Words words) {
        Beam.Lift lift = beam.lift(eyesMillimetres, kilograms);
        int notch = lift.notches().left();
        double halfEyes = eyesMillimetres / 2.0;
        double reach = Math.max(halfEyes, beam.at(beam.notches())) + beam.stepMillimetres();
        double scale = Math.min(HALF_BEAM / reach, HALF_BATTERY / halfEyes);
        double top = 110 + 90 * Math.min(1, beam.chainMillimetres() / LONGEST_CHAIN);
        Sketch sketch = new Sketch()
                .rect("bar-cool", MIDDLE - reach * scale, BEAM_TOP, 2 * reach * scale, BEAM_FOOT - BEAM_TOP)
                .rect("plot", MIDDLE - halfEyes * scale - BESIDE_EYES, top, 2 * (halfEyes * scale + BESIDE_EYES), 60);
        for (int side = -1; side <= 1; side += 2) {
            for (int n = 1; n <= beam.notches(); n++) {
                double x = MIDDLE + side * beam.at(n) * scale;
                sketch.line(n == notch ? "vessel" : "grid", x, n == notch ? BEAM_TOP - 10 : BEAM_TOP + 6, x, BEAM_FOOT);
            }
            double eye = MIDDLE + side * halfEyes * scale;
            sketch.line("chain", MIDDLE + side * beam.at(notch) * scale, BEAM_FOOT, eye, top)
                    .circle("spot", eye, top, 7);
        }
        Measures measures = Measures.of(words.person());
        sketch.word("middle", MIDDLE, 24, words.text("sketch.notch", notch))
                .word("middle", MIDDLE, top + 24, measures.say("mm", eyesMillimetres));
        return kilograms == 0
                ? sketch
                : sketch.word("middle", MIDDLE, top + 48, measures.say("kg", kilograms))
                        .word(
                                "middle",
                                MIDDLE,
                                96,
                                words.text("sketch.chain", measures.say("kg", lift.pullKilograms())));
    }
}
