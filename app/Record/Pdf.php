<?php

declare(strict_types=1);

namespace App\Record;

use Dompdf\Adapter\CPDF;
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
        $options = new Options([
            'isRemoteEnabled' => false,
            'isPhpEnabled' => false,
            'isJavascriptEnabled' => false,
            'defaultFont' => 'DejaVu Sans',
            'tempDir' => sys_get_temp_dir(),
        ]);
        $pdf = new Dompdf($options);
        $pdf->setPaper($paper);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();
        $pdf->addInfo('Creator', 'Aqbel '.config('aqbel.version'));
        $canvas = $pdf->getCanvas();
        if ($canvas instanceof CPDF) {
            $canvas->get_cpdf()->setPreferences('DisplayDocTitle', 1);
        }

        return self::inEnglish((string) $pdf->output());
    }

    /**
     * Says in which language it is read aloud, which the library has no word for: as an update behind the file, with
     * its catalogue written anew (ISO 32000-1, 7.5.6 and 14.9.2).
     */
    private static function inEnglish(string $pdf): string
    {
        $found = preg_match('/\n(\d+) 0 obj\n<< (\/Type \/Catalog.*?) >>\nendobj/s', $pdf, $catalogue) === 1
            && preg_match('/trailer\s*<<(.*?)>>\s*startxref\s+(\d+)\s+%%EOF\s*$/s', $pdf, $trailer) === 1;
        if (! $found) {
            return $pdf;
        }
        $object = "{$catalogue[1]} 0 obj\n<< {$catalogue[2]}\n/Lang (en) >>\nendobj\n";
        $at = strlen($pdf) + 1;
        $table = sprintf("xref\n%d 1\n%010d 00000 n \n", $catalogue[1], $at);

        return "{$pdf}\n{$object}{$table}trailer\n<<{$trailer[1]}\n/Prev {$trailer[2]}\n>>\nstartxref\n"
            .($at + strlen($object))
            ."\n%%EOF\n";
    }

    public static function response(string $pdf, string $name): Response
    {
        return response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$name}\"",
            'Cache-Control' => 'private, no-cache',
        ]);
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
