<?php

namespace Tests\Support;

use Illuminate\Support\Facades\Blade;
use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\NodeFinder;
use PhpParser\Parser;
use PhpParser\ParserFactory;
use SplFileInfo;
use Symfony\Component\Finder\Finder;

/**
 * Measures how the code is written, rule by rule and file by file. What does not keep a rule yet stands in
 * tests/Arch/not-yet.php, which may only shrink: `php tests/Arch/shrink.php` takes out what has been mended.
 */
final class House
{
    public const LIST = __DIR__.'/../Arch/not-yet.php';

    private const FOLDERS = [
        'app', 'core', 'bench', 'config', 'database', 'routes', 'tests', 'resources/views', 'public/css', 'public/js',
    ];

    private const COLUMNS = 120;

    /** An address, with no more than quotes and its dot or key before it: it cannot be broken. */
    private const ADDRESS = '/^\s*(?:\'[^\']+\' => |[.?:] ?)?[\'"]?\S+:\/\/\S+[\'"]?[,;]?$/';

    private const METHOD_LINES = 45;

    private const METHOD_CHARACTERS = 1600;

    private const PARAMETERS = 5;

    /** Words that are a case of an enum, or should be. */
    private const CASES = [
        'firm', 'held', 'released', 'running', 'done', 'closed', 'cancelled', 'none', 'serial', 'lot', 'backflush',
        'phantom', 'bought', 'made', 'outside', 'consumable', 'free', 'blocked', 'inspection',
    ];

    /** Makes typed rows of what a query answers. */
    private const ROW = 'app/Reading/Row.php';

    private readonly string $root;

    private readonly Parser $parser;

    private readonly NodeFinder $nodes;

    public function __construct()
    {
        $this->root = dirname(__DIR__, 2);
        $this->parser = (new ParserFactory)->createForNewestSupportedVersion();
        $this->nodes = new NodeFinder;
    }

    /** @return array<string, array<string, int>>  by rule and file: how often it is not kept */
    public function measured(): array
    {
        $found = [];
        foreach ($this->files() as $name => $text) {
            $found['lines over 120 columns'][$name] = $this->wideLines($text);
            if (str_ends_with($name, '.blade.php')) {
                $found['logic in views'][$name] = $this->logic($text);
            } elseif (preg_match('#^(app|core)/.*\.php$#', $name) === 1) {
                $this->code($name, $text, $found);
            }
        }
        foreach ($found as $rule => $files) {
            $found[$rule] = array_filter($files);
            ksort($found[$rule]);
        }

        return array_filter($found);
    }

    /** @return array<string, array<string, int>> */
    public static function notYet(): array
    {
        return require self::LIST;
    }

    /** Lines too wide to read, but for those that are one address or one path of a drawing. */
    public function wideLines(string $text): int
    {
        $count = 0;
        foreach (explode("\n", $text) as $line) {
            $line = trim($line, "\r");
            $isWhole = preg_match(self::ADDRESS, $line) === 1 || preg_match('/^\s*<path [^<>]*>$/', $line) === 1;
            $count += mb_strlen($line) > self::COLUMNS && ! $isWhole ? 1 : 0;
        }

        return $count;
    }

    /** Blocks of PHP, names of the application's classes, and arithmetic, read from the compiled view. */
    public function logic(string $blade): int
    {
        $count = preg_match_all('/@php\b/', $blade);
        $tree = $this->parser->parse(Blade::compileString($blade)) ?? [];
        $isOurs = fn (Node $node): bool => $node instanceof Node\Name
            && preg_match('/^(App\\\\(?!View\\\\)|KeepPace\\\\|Brick\\\\|Carbon\\\\)/', $node->toString()) === 1
            && str_contains($blade, $node->getLast()); // a directive's own class is none of the view's
        $isArithmetic = fn (Node $node): bool => $node instanceof Expr\BinaryOp
            && in_array($node->getOperatorSigil(), ['+', '-', '*', '/', '%'], true)
            && ! $node->left instanceof Expr\Array_; // a component adds what it was given to its own

        return $count + count($this->nodes->find($tree, $isOurs)) + count($this->nodes->find($tree, $isArithmetic));
    }

    /** @param  array<string, array<string, int>>  $found */
    private function code(string $name, string $text, array &$found): void
    {
        $tree = $this->parser->parse($text) ?? [];
        $found['rows that are stdClass'][$name] = $name === self::ROW ? 0 : preg_match_all('/\bstdClass\b/', $text);
        $found['floats beside quantities and money'][$name] = preg_match('#^(app/Jobs|core/Scheduling)/#', $name) === 1
            ? 0
            : count($this->nodes->findInstanceOf($tree, Expr\Cast\Double::class));
        $found['words for what is an enum'][$name] = $this->words($tree);
        foreach ($this->nodes->findInstanceOf($tree, Node\Stmt\ClassMethod::class) as $method) {
            $length = $method->getEndFilePos() - $method->getStartFilePos();
            $lines = $method->getEndLine() - $method->getStartLine() + 1;
            $at = "{$name} {$method->name}()";
            $found['long methods'][$at] = $length > self::METHOD_CHARACTERS || $lines > self::METHOD_LINES ? 1 : 0;
            $isDeed = $method->name->toString() === 'handle' && str_starts_with($name, 'app/Actions/');
            $tooMany = count($method->params) > self::PARAMETERS;
            $found['deeds with six parameters or more'][$at] = $isDeed && $tooMany ? 1 : 0;
        }
    }

    /** @param  array<Node>  $tree */
    private function words(array $tree): int
    {
        $isCase = fn (?Node $node): bool => $node instanceof Node\Scalar\String_
            && in_array($node->value, self::CASES, true);
        $compares = fn (Node $node): bool => ($node instanceof Expr\BinaryOp\Identical
                || $node instanceof Expr\BinaryOp\NotIdentical)
            && ($isCase($node->left) || $isCase($node->right));
        $isOther = fn (?Node\ArrayItem $item): bool => $item?->key !== null || ! $isCase($item?->value);
        $lists = fn (Node $node): bool => $node instanceof Expr\Array_
            && count($node->items) > 1
            && array_filter($node->items, $isOther) === [];

        return count($this->nodes->find($tree, $compares)) + count($this->nodes->find($tree, $lists));
    }

    /** @return iterable<string, string>  text by name */
    private function files(): iterable
    {
        $files = (new Finder)->files()
            ->in(array_map(fn (string $folder): string => "{$this->root}/{$folder}", self::FOLDERS))
            ->name(['*.php', '*.js', '*.css'])
            ->notName('*.min.*')
            ->sortByName();
        foreach ($files as $file) {
            yield substr($file->getPathname(), strlen($this->root) + 1) => $this->text($file);
        }
    }

    private function text(SplFileInfo $file): string
    {
        return (string) file_get_contents($file->getPathname());
    }
}
