<?php

declare(strict_types=1);

namespace App\Record;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Http\Response;

/** A view as a PDF: nothing is fetched from anywhere, every picture comes in it. */
final class Pdf
{
    public const A4 = 'a4';

    /** A label for tank and can, 100 × 62 mm, in points. */
    public const LABEL = [0.0, 0.0, 283.46, 175.75];

    /** @param  string|array<float>  $paper */
    public static function of(string $html, string|array $paper = self::A4): string
    {
        $options = new Options(['isRemoteEnabled' => false, 'isPhpEnabled' => false, 'isJavascriptEnabled' => false, 'defaultFont' => 'DejaVu Sans', 'tempDir' => sys_get_temp_dir()]);
        $pdf = new Dompdf($options);
        $pdf->setPaper($paper);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();
        $pdf->addInfo('Creator', 'Aqbel '.config('aqbel.version'));

        return (string) $pdf->output();
    }

    public static function response(string $pdf, string $name): Response
    {
        return response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}\"", 'Cache-Control' => 'private, no-cache']);
    }

    /** A picture of ours as it stands in a document. */
    public static function svg(string $svg): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }

    /** A photograph as it stands in a document; empty where its file is gone. */
    public static function jpeg(string $path): string
    {
        $bytes = is_file($path) ? (string) file_get_contents($path) : '';

        return $bytes === '' ? '' : 'data:image/jpeg;base64,'.base64_encode($bytes);
    }
}
