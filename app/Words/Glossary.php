<?php

declare(strict_types=1);

namespace App\Words;

use Illuminate\Support\HtmlString;

/** The words that a page explains where they stand: those of the second table of docs/glossary.md. */
final class Glossary
{
    private const FILE = 'docs/glossary.md';

    private const ON_SCREEN = '## On the screen';

    /** @var ?array<string, string> meaning by word, the longest first */
    private ?array $meanings = null;

    /** A text with the first of each such word as a button that says what it means. */
    public function marked(string $text): HtmlString
    {
        $meanings = $this->meanings();
        $pattern = '/\b('
            .implode('|', array_map(fn (string $word) => preg_quote($word, '/'), array_keys($meanings)))
            .')\b/iu';
        $seen = [];
        $html = '';
        foreach (preg_split($pattern, $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$text] as $i => $part) {
            $word = mb_strtolower($part);
            $html .= $i % 2 === 1 && ! isset($seen[$word])
                ? '<button type="button" class="word" data-word="'.e($meanings[$word]).'">'.e($part).'</button>'
                : e($part);
            $seen[$word] = true;
        }

        return new HtmlString($html);
    }

    /** @return array<string, string> */
    public function meanings(): array
    {
        if ($this->meanings === null) {
            $table = explode(self::ON_SCREEN, (string) file_get_contents(base_path(self::FILE)))[1] ?? '';
            preg_match_all('/^\| (?!word)([^|]+) \| ([^|]+) \|$/m', $table, $rows);
            $this->meanings = array_combine($rows[1], $rows[2]);
            uksort($this->meanings, fn (string $a, string $b) => strlen($b) <=> strlen($a));
        }

        return $this->meanings;
    }
}
