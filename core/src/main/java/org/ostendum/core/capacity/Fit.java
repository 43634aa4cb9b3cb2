package org.ostendum.core.capacity;

/** Straight-line fit of three coefficients that are known to some spread before: Bayes' rule with normal errors. */
final class Fit {
    private static final int N = 3;

    private final double[][] precision = new double[N][N];
    private final double[] pull = new double[N];
    private double apart;

    /** @param usual the coefficients before anything was read, with their spreads */
    Fit(double[] usual, double[] spread) {
        for (int i = 0; i < N; i++) {
            precision[i][i] = 1 / (spread[i] * spread[i]);
            pull[i] = usual[i] * precision[i][i];
            apart += usual[i] * pull[i];
        }
    }

    void add(double[] terms, double value, double error) {
        double weight = 1 / (error * error);
        for (int i = 0; i < N; i++) {
            pull[i] += weight * terms[i] * value;
            for (int j = 0; j < N; j++) {
                precision[i][j] += weight * terms[i] * terms[j];
            }
        }
    }

    /** @return logarithm of how likely what was read is, but for a constant; by Cholesky's factors */
    double logEvidence() {
        double[][] factor = new double[N][N];
        double logs = 0;
        for (int i = 0; i < N; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = precision[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= factor[i][k] * factor[j][k];
                }
                factor[i][j] = i == j ? Math.sqrt(sum) : sum / factor[j][j];
            }
            logs += Math.log(factor[i][i]);
        }
        double squares = 0;
        double[] solved = new double[N];
        for (int i = 0; i < N; i++) {
            double sum = pull[i];
            for (int k = 0; k < i; k++) {
                sum -= factor[i][k] * solved[k];
            }
            solved[i] = sum / factor[i][i];
            squares += solved[i] * solved[i];
        }
        return 0.5 * (squares - apart) - logs;
    }
}
