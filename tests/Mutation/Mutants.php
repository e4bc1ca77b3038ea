<?php

declare(strict_types=1);

namespace Tests\Mutation;

use PhpParser\ConstExprEvaluationException;
use PhpParser\ConstExprEvaluator;
use PhpParser\Node;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\NodeFinder;
use PhpParser\Parser;
use PhpParser\ParserFactory;

/**
 * Every mutant of the core's judgement: each constant a tenth higher and lower, each comparison turned round, each
 * refusal dropped, each “never” made passable with a reason.
 */
final class Mutants
{
    /** Where the judging is done. */
    private const FOLDERS = [
        'Flow',
        'Heat',
        'Job',
        'Judged',
        'Ledger',
        'Mixing',
        'Observed',
        'Plan',
        'Steps',
        'Vacuum',
        'Writing',
    ];

    /** What can scald, gas, hurt or ruin when it is wrong; “never” and a refusal count wherever they stand. */
    private const HURTS = '#^core/(Heat/(?!Purging)|Judged/|Job/(Neck|Running)|Plan/NeckLimit|Vacuum/|Steps/(Cool|RunHot|MakeSafe|Vacuum)/|Steps/(EngineStart|NotRun|Opening))#';

    /** The same comparison the other way. */
    private const TURNED = [
        BinaryOp\Smaller::class => '>=', BinaryOp\SmallerOrEqual::class => '>',
        BinaryOp\Greater::class => '<=', BinaryOp\GreaterOrEqual::class => '<',
    ];

    private readonly Parser $parser;

    private string $file = '';

    private string $source = '';

    /** @var array<string, array{string, list<Node\Stmt\ClassMethod>}> source and methods of every file of the core */
    private array $methods = [];

    public function __construct(private readonly string $root)
    {
        $this->parser = (new ParserFactory)->createForHostVersion();
    }

    /** @return list<Mutant> */
    public function all(): array
    {
        $mutants = [];
        foreach (self::FOLDERS as $folder) {
            foreach ($this->files("core/{$folder}") as $file) {
                array_push($mutants, ...$this->of($file));
            }
        }

        return $mutants;
    }

    /** @return list<string> from the project's root */
    private function files(string $folder): array
    {
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$this->root}/{$folder}"));
        $paths = array_map(strval(...), array_filter(iterator_to_array($files), fn ($f) => $f->isFile()));
        sort($paths);

        return array_map(fn (string $path) => substr($path, strlen($this->root) + 1), $paths);
    }

    /** @return list<Mutant> of one file */
    public function of(string $file): array
    {
        $this->file = $file;
        $this->source = (string) file_get_contents("{$this->root}/{$file}");
        $mutants = [];
        foreach ((new NodeFinder)->find($this->parser->parse($this->source) ?? [], fn () => true) as $node) {
            array_push($mutants, ...match (true) {
                $node instanceof Node\Stmt\ClassConst => $this->constants($node),
                $node instanceof BinaryOp && isset(self::TURNED[$node::class]) => [$this->turned($node)],
                $node instanceof Node\Stmt\If_ => $this->refusals($node),
                $node instanceof Node\Expr\StaticCall => $this->nevers($node),
                default => [],
            });
        }

        return $mutants;
    }

    /** @return list<Mutant> */
    private function constants(Node\Stmt\ClassConst $node): array
    {
        $mutants = [];
        foreach ($node->consts as $const) {
            try {
                $value = (new ConstExprEvaluator)->evaluateSilently($const->value);
            } catch (ConstExprEvaluationException) {
                continue;
            }
            // A tenth of nothing is nothing.
            if ((! is_int($value) && ! is_float($value)) || $value === 0.0) {
                continue;
            }
            foreach ([1.1, 0.9] as $share) {
                $other = is_float($value)
                    ? $value * $share
                    : $value + ($share > 1.0 ? 1 : -1) * max(1, (int) round($value * 0.1));
                $mutants[] = $this->mutant(
                    $const->value,
                    var_export($other, true),
                    "{$const->name} = ",
                    within: $this->readers($const->name->name),
                );
            }
        }

        return $mutants;
    }

    private function turned(BinaryOp $node): Mutant
    {
        $left = $this->text($node->left);

        return $this->mutant($node, $left.' '.self::TURNED[$node::class].' '.$this->text($node->right));
    }

    /** @return list<Mutant> */
    private function refusals(Node\Stmt\If_ $node): array
    {
        $throws = fn (Node\Stmt $stmt) => $stmt instanceof Node\Stmt\Expression
            && $stmt->expr instanceof Node\Expr\Throw_;
        if (array_filter($node->stmts, $throws) === []) {
            return [];
        }

        return [$this->mutant($node->cond, 'false', 'refuse if ', true)];
    }

    /** @return list<Mutant> */
    private function nevers(Node\Expr\StaticCall $node): array
    {
        if (! $node->name instanceof Node\Identifier || $node->name->name !== 'never') {
            return [];
        }

        return [$this->mutant($node->name, 'missing', 'Obstacle::', true)];
    }

    /**
     * @param  ?list<array{string, int, int}>  $within  null for the method it stands in
     */
    private function mutant(
        Node $node,
        string $becomes,
        string $before = '',
        bool $hurts = false,
        ?array $within = null,
    ): Mutant {
        $source = substr_replace(
            $this->source,
            $becomes,
            $node->getStartFilePos(),
            $node->getEndFilePos() - $node->getStartFilePos() + 1,
        );
        $plain = fn (string $code) => (string) preg_replace('/\s+/', ' ', $before.$code);
        $hurts = $hurts || preg_match(self::HURTS, $this->file) === 1;

        return new Mutant(
            $this->file,
            $node->getStartLine(),
            $plain($this->text($node)),
            $plain($becomes),
            $source,
            $hurts,
            $within ?? $this->around($node),
        );
    }

    /** @return list<array{string, int, int}> the method that it stands in */
    private function around(Node $node): array
    {
        $in = array_filter(
            $this->methods()[$this->file][1],
            fn (Node $method) => $method->getStartFilePos() <= $node->getStartFilePos()
                && $method->getEndFilePos() >= $node->getEndFilePos(),
        );

        return array_map(
            fn (Node $method) => [$this->file, $method->getStartLine(), $method->getEndLine()],
            array_values($in),
        );
    }

    /** @return list<array{string, int, int}> every method that reads this constant, of this class or by its name */
    private function readers(string $constant): array
    {
        $class = basename($this->file, '.php');
        $readers = [];
        foreach ($this->methods() as $file => [$source, $methods]) {
            $read = $file === $this->file
                ? '/\b(?:self|static|'.$class.")::{$constant}\\b/"
                : "/\\b{$class}::{$constant}\\b/";
            if (preg_match($read, $source) !== 1) {
                continue;
            }
            $found = [];
            foreach ($methods as $method) {
                $from = $method->getStartFilePos();
                if (preg_match($read, substr($source, $from, $method->getEndFilePos() - $from + 1)) === 1) {
                    $found[] = [$file, $method->getStartLine(), $method->getEndLine()];
                }
            }
            array_push($readers, ...($found === [] ? [[$file, 1, PHP_INT_MAX]] : $found));
        }

        return $readers;
    }

    /** @return array<string, array{string, list<Node\Stmt\ClassMethod>}> */
    private function methods(): array
    {
        foreach ($this->methods === [] ? $this->files('core') : [] as $file) {
            $source = (string) file_get_contents("{$this->root}/{$file}");
            $this->methods[$file] = [
                $source,
                (new NodeFinder)->findInstanceOf($this->parser->parse($source) ?? [], Node\Stmt\ClassMethod::class),
            ];
        }

        return $this->methods;
    }

    private function text(Node $node): string
    {
        $from = $node->getStartFilePos();

        return substr($this->source, $from, $node->getEndFilePos() - $from + 1);
    }
}
