<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

/** A covariance, by its Cholesky factor: how far off a vector of residuals is. */
final readonly class Spread
{
    /** @var array<int, array<int, float>> lower triangle */
    private array $factor;

    /** @param  array<int, array<int, float>>  $covariance  symmetric, positive on its diagonal */
    public function __construct(array $covariance)
    {
        $factor = [];
        foreach ($covariance as $i => $row) {
            for ($j = 0; $j <= $i; $j++) {
                $sum = $row[$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $factor[$i][$k] * $factor[$j][$k];
                }
                $factor[$i][$j] = $i === $j ? sqrt(max(1.0e-6 * $row[$i] + 1.0e-9, $sum)) : $sum / $factor[$j][$j];
            }
        }
        $this->factor = $factor;
    }

    /**
     * Its squared length in standard deviations (Mahalanobis 1936).
     *
     * @param  list<float>  $residuals
     */
    public function chi2(array $residuals): float
    {
        [$chi2, $solved] = [0.0, []];
        foreach ($residuals as $i => $residual) {
            $sum = $residual;
            for ($k = 0; $k < $i; $k++) {
                $sum -= $this->factor[$i][$k] * $solved[$k];
            }
            $solved[$i] = $sum / $this->factor[$i][$i];
            $chi2 += $solved[$i] ** 2;
        }

        return $chi2;
    }
}
