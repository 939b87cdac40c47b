<?php

declare(strict_types=1);

use AwakeShed\Tests\App\FiguresOfTheShedTest;
use AwakeShed\Tests\Core\FiguresOfPracticeTest;
use AwakeShed\Tests\Core\TablesOfPracticeTest;
use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SebastianBergmann\CodeCoverage\CodeCoverage;

/*
 * The working half of bin/mutate: php bin/lib/mutate.php PART COUNT SEED COVERAGE, in a copy of the project. Changes one
 * place of the code at a time into something that is wrong, and runs the tests that touch that line; says which changes
 * no test noticed.
 */

require_once dirname(__DIR__, 2).'/vendor/autoload.php';

/** A test that takes longer than this, s, has noticed: the change made it run for ever. */
const PATIENCE = 240;

[, $part, $count, $seed, $coverageFile] = $argv + [1 => '', 2 => '0', 3 => '1', 4 => ''];
$root = dirname(__DIR__, 2);

/** A change of one place. */
final readonly class Mutant
{
    public function __construct(public string $file, public int $line, public int $from, public int $to, public string $instead, public string $was)
    {
    }
}

/** Collects what can be changed in a file. */
final class Places extends NodeVisitorAbstract
{
    private const SWAPS = [
        Node\Expr\BinaryOp\Smaller::class => '<=', Node\Expr\BinaryOp\SmallerOrEqual::class => '<',
        Node\Expr\BinaryOp\Greater::class => '>=', Node\Expr\BinaryOp\GreaterOrEqual::class => '>',
        Node\Expr\BinaryOp\Identical::class => '!==', Node\Expr\BinaryOp\NotIdentical::class => '===',
        Node\Expr\BinaryOp\BooleanAnd::class => '||', Node\Expr\BinaryOp\BooleanOr::class => '&&',
        Node\Expr\BinaryOp\Plus::class => '-', Node\Expr\BinaryOp\Minus::class => '+',
        Node\Expr\BinaryOp\Mul::class => '/', Node\Expr\BinaryOp\Div::class => '*',
    ];

    /** @var list<Mutant> */
    public array $mutants = [];

    /** @var list<Node|null> */
    private array $alike = [];

    public function __construct(private readonly string $file, private readonly string $code, private readonly bool $isOfFigures)
    {
    }

    public function enterNode(Node $node): ?int
    {
        // What is declared is not what is done: an address or a column has no test of its own.
        // What is asserted is for whoever reads: it is compiled out.
        if ($node instanceof Node\Attribute || $node instanceof Node\Stmt\Declare_ || self::calls($node, 'assert') || ($this->isOfFigures && $node instanceof Node\Stmt\ClassMethod)) {
            return NodeTraverser::DONT_TRAVERSE_CHILDREN;
        }
        // What is in a set is there, whatever stands behind it.
        if ($node instanceof Node\Expr\Assign && $node->var instanceof Node\Expr\ArrayDimFetch && self::isTrue($node->expr)) {
            $this->alike[] = $node->expr;
        } elseif ($node instanceof Node\Expr\Array_ && [] === array_filter($node->items, static fn (?Node\ArrayItem $item): bool => null === $item?->key || !self::isTrue($item->value))) {
            array_push($this->alike, ...array_column($node->items, 'value'));
        }
        $swap = self::SWAPS[$node::class] ?? null;
        if (null !== $swap && $node instanceof Node\Expr\BinaryOp) {
            $this->add($node, $node->left->getEndFilePos() + 1, $node->right->getStartFilePos(), " $swap ");
        } elseif ($node instanceof Node\Scalar\Int_ || ($node instanceof Node\Scalar\Float_ && !self::isHair($node->value))) {
            $this->add($node, $node->getStartFilePos(), $node->getEndFilePos() + 1, self::otherNumber($node->value));
        } elseif ($node instanceof Node\Expr\BooleanNot) {
            $this->add($node, $node->getStartFilePos(), $node->expr->getStartFilePos(), '');
        } elseif ($node instanceof Node\Expr\ConstFetch && in_array($node->name->toLowerString(), ['true', 'false'], true) && !in_array($node, $this->alike, true)) {
            $this->add($node, $node->getStartFilePos(), $node->getEndFilePos() + 1, 'true' === $node->name->toLowerString() ? 'false' : 'true');
        } elseif ($node instanceof Node\Expr\BinaryOp\Coalesce) {
            $this->add($node, $node->getStartFilePos(), $node->right->getStartFilePos(), '');
        } elseif ($node instanceof Node\Expr\FuncCall && self::calls($node, 'in_array', 'array_search', 'array_keys')) {
            // Strict or loose is the same among words, numbers and cases: no test could tell them apart.
            $flag = $node->args[2] ?? null;
            $this->alike[] = $flag instanceof Node\Arg ? $flag->value : null;
        } elseif ($node instanceof Node\Stmt\Expression && $node->expr instanceof Node\Expr\MethodCall) {
            $this->add($node, $node->getStartFilePos(), $node->getEndFilePos() + 1, ';');
        }

        return null;
    }

    /** Within which two numbers are the same: nobody sees whether it is a tenth wider. */
    private static function isHair(float $value): bool
    {
        return 0.0 < $value && $value <= 1e-6;
    }

    private static function calls(Node $node, string ...$names): bool
    {
        return $node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name && in_array($node->name->toLowerString(), $names, true);
    }

    private static function isTrue(Node $node): bool
    {
        return $node instanceof Node\Expr\ConstFetch && 'true' === $node->name->toLowerString();
    }

    private function add(Node $node, int $from, int $to, string $instead): void
    {
        $this->mutants[] = new Mutant($this->file, $node->getStartLine(), $from, $to, $instead, substr($this->code, $from, $to - $from));
    }

    private static function otherNumber(int|float $value): string
    {
        return match (true) {
            is_float($value) => var_export(0.0 === $value ? 0.1 : $value * 1.1, true),
            $value < 10 => (string) ($value + 1),
            default => (string) (int) ceil($value * 1.1),
        };
    }
}

/** @return list<Mutant> all there are, or the constants of its classes alone */
function placesOfCode(string $file, bool $isOfFigures): array
{
    $code = (string) file_get_contents($file);
    $places = new Places($file, $code, $isOfFigures);
    $traverser = new NodeTraverser($places);
    $traverser->traverse((new ParserFactory())->createForHostVersion()->parse($code) ?? []);

    return $places->mutants;
}

/** @return list<Mutant> a number a tenth larger, a word another */
function placesOfTable(string $file): array
{
    $text = (string) file_get_contents($file);
    preg_match_all('/(?<=[\[:,\s])-?\d+(?:\.\d+)?(?=[\],}\s])|"[a-z_.]+"(?=\s*[,\]}])/', $text, $found, \PREG_OFFSET_CAPTURE);

    return array_map(static fn (array $one): Mutant => new Mutant($file, substr_count($text, "\n", 0, $one[1]) + 1, $one[1], $one[1] + strlen($one[0]), '"' === $one[0][0] ? '"another"' : (string) ((float) $one[0] * 1.1 + (0.0 === (float) $one[0] ? 1 : 0)), $one[0]), $found[0]);
}

/** @return iterable<string> */
function files(string $folder, string $extension): iterable
{
    $all = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        assert($file instanceof SplFileInfo);
        if ($extension === $file->getExtension() && !str_contains($file->getPathname(), '/Demo/')) {
            $all[] = $file->getPathname();
        }
    }
    sort($all);

    return $all;
}

/**
 * Files of tests are asked for rather than a filter: to find those of a whole suite takes a second and a half.
 *
 * @param list<string> $arguments
 */
function fails(string $root, array $arguments): bool
{
    $process = proc_open(['timeout', (string) PATIENCE, \PHP_BINARY, 'vendor/bin/phpunit', '--stop-on-defect', '--no-progress', '--no-output', '--do-not-cache-result', ...$arguments], [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes, $root);

    return false === $process || 0 !== proc_close($process);
}

/** Where a class of the tests is. */
function testFile(string $class): string
{
    return 'tests/'.str_replace(['AwakeShed\\Tests\\', '\\'], ['', '/'], $class).'.php';
}

/**
 * The tests of the same folder notice most changes soonest, and go first; those that go through whole courses of work
 * take minutes.
 *
 * @param list<string> $classes
 */
function notice(string $root, string $file, array $classes): bool
{
    $tests = array_map(testFile(...), $classes);
    $near = array_filter($tests, static fn (string $test): bool => basename(dirname($file)) === basename(dirname($test)));
    foreach (array_filter([$near, array_diff($tests, $near)]) as $some) {
        if (fails($root, array_values($some))) {
            return true;
        }
    }

    return false;
}

$tests = [];
if ('' !== $coverageFile) {
    $coverage = require $coverageFile;
    assert($coverage instanceof CodeCoverage);
    /** @var array<string, array<int, list<string>|null>> $touched by file and line, the tests that ran it */
    $touched = $coverage->getData()->lineCoverage();
    foreach ($touched as $file => $lines) {
        foreach ($lines as $line => $ids) {
            foreach ($ids ?? [] as $id) {
                $tests[substr($file, strlen($root) + 1)][$line][explode('::', $id)[0]] = true;
            }
        }
    }
}

$mutants = [];
foreach (files($root.('app' === $part ? '/src' : '/core'), 'tables' === $part ? 'json' : 'php') as $file) {
    $mutants = [...$mutants, ...('tables' === $part ? placesOfTable($file) : placesOfCode($file, 'figures' === $part))];
}
$most = min((int) $count, count($mutants));
$drawn = [] === $mutants || $most < 1 ? [] : (new Randomizer(new Mt19937((int) $seed)))->pickArrayKeys($mutants, $most);
$killed = 0;
foreach ($drawn as $key) {
    $mutant = $mutants[$key];
    $name = substr($mutant->file, strlen($root) + 1);
    $code = (string) file_get_contents($mutant->file);
    $classes = array_keys($tests[$name][$mutant->line] ?? []);
    // A constant is no line that runs: the copy of all of them may notice, and whatever touches its file.
    if ([] === $classes) {
        $classes = ['app' === $part ? FiguresOfTheShedTest::class : FiguresOfPracticeTest::class, ...array_keys(array_merge([], ...array_values($tests[$name] ?? [])))];
    }
    file_put_contents($mutant->file, substr_replace($code, $mutant->instead, $mutant->from, $mutant->to - $mutant->from));
    try {
        $dies = match (true) {
            'tables' === $part => fails($root, [testFile(TablesOfPracticeTest::class)]) || fails($root, ['--testsuite', 'core']),
            default => notice($root, $name, $classes),
        };
    } finally {
        file_put_contents($mutant->file, $code);
    }
    $killed += (int) $dies;
    if (!$dies) {
        printf("  lives  %s:%d  %s  became  %s\n", $name, $mutant->line, trim($mutant->was), '' === trim($mutant->instead) ? 'nothing' : trim($mutant->instead));
    }
}
printf("%s: %d of %d noticed (%.0f %%), of %d places\n", $part, $killed, count($drawn), 100 * $killed / max(1, count($drawn)), count($mutants));
