<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;

/** The script that opens pages without a connection, with the names of the files it keeps. */
final class WorkerController extends Controller
{
    /** Of the fonts only those that are drawn with. */
    private const KEPT = ['app-*.css', 'app-*.js', '*-latin-wght-normal-*.woff2', '*-latin-600-normal-*.woff2'];

    public function __invoke(): Response
    {
        $files = [];
        foreach (self::KEPT as $pattern) {
            array_push($files, ...array_map(basename(...), glob(public_path("build/assets/{$pattern}")) ?: []));
        }
        $assets = ['/icon.svg', '/build/icons.svg', ...array_map(fn (string $file) => "/build/assets/{$file}", $files)];
        $script = (string) file_get_contents(resource_path('js/worker.js'));
        $names = 'const BUILD = '.json_encode(substr(sha1($script.implode(' ', $assets)), 0, 12)).";\n"
            .'const ASSETS = '.json_encode($assets, JSON_UNESCAPED_SLASHES).";\n";

        return response($names.$script, 200, [
            'Content-Type' => 'text/javascript; charset=utf-8',
            'Cache-Control' => 'no-cache',
        ]);
    }
}
