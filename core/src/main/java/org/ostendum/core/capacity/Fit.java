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
        double[][] factor = factor();
        double logs = 0;
        double squares = 0;
        double[] solved = forward(factor, pull);
        for (int i = 0; i < N; i++) {
            logs += Math.log(factor[i][i]);
            squares += solved[i] * solved[i];
        }
        return 0.5 * (squares - apart) - logs;
    }

    /** @return the coefficients after what was read */
    double[] means() {
        double[][] factor = factor();
        return back(factor, forward(factor, pull));
    }

    /** @return standard deviations of the coefficients after what was read */
    double[] spreads() {
        double[][] factor = factor();
        double[] spreads = new double[N];
        for (int i = 0; i < N; i++) {
            double[] unit = new double[N];
            unit[i] = 1;
            spreads[i] = Math.sqrt(back(factor, forward(factor, unit))[i]);
        }
        return spreads;
    }

    private double[][] factor() {
        double[][] factor = new double[N][N];
        for (int i = 0; i < N; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = precision[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= factor[i][k] * factor[j][k];
                }
                factor[i][j] = i == j ? Math.sqrt(sum) : sum / factor[j][j];
            }
        }
        return factor;
    }

    private static double[] forward(double[][] factor, double[] right) {
        double[] solved = new double[N];
        for (int i = 0; i < N; i++) {
            double sum = right[i];
            for (int k = 0; k < i; k++) {
                sum -= factor[i][k] * solved[k];
            }
            solved[i] = sum / factor[i][i];
        }
        return solved;
    }

    private static double[] back(double[][] factor, double[] right) {
        double[] solved = new double[N];
        for (int i = N - 1; i >= 0; i--) {
            double sum = right[i];
            for (int k = i + 1; k < N; k++) {
                sum -= factor[k][i] * solved[k];
            }
            solved[i] = sum / factor[i][i];
        }
        return solved;
    }
}
