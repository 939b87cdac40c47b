<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Sense;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;
use PHPUnit\Framework\TestCase;

final class TableTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/awake-shed-tables-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        Table::madeIn(\dirname(__DIR__));
        foreach ((array) glob($this->folder.'/*') as $made) {
            unlink((string) $made);
        }
        rmdir($this->folder);
    }

    /** The tables are one to one with the files: none is left out, and none says anything else than its JSON. */
    public function testWhatABuildMakesIsWhatTheJsonSays(): void
    {
        Table::make($this->folder, []);
        $made = (array) glob($this->folder.'/*.php');
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__, 2).'/core', \FilesystemIterator::SKIP_DOTS)) as $file) {
            \assert($file instanceof \SplFileInfo);
            if ('json' === $file->getExtension()) {
                $files[$file->getPathname()] = json_decode((string) file_get_contents($file->getPathname()), true, 32, \JSON_THROW_ON_ERROR);
            }
        }
        self::assertCount(\count($files), $made);
        Table::madeIn($this->folder);
        foreach ($files as $path => $table) {
            self::assertSame($table, Table::read($path), $path);
        }
    }

    public function testWhatIsMadeIsTakenAndWhatIsNotIsReadAsItIs(): void
    {
        $asks = \dirname(__DIR__, 2).'/core/Progress/data/asks.json';
        file_put_contents($this->folder.'/Progress-data-asks.json.php', "<?php return ['made' => true];\n");
        Table::madeIn($this->folder);
        self::assertSame(['made' => true], Table::read($asks));
        self::assertArrayNotHasKey('made', (array) Table::read(\dirname(__DIR__, 2).'/core/Gate/data/walk.json'));
        Table::madeIn(\dirname(__DIR__));
        self::assertIsArray($read = Table::read($asks));
        self::assertArrayNotHasKey('made', $read);
    }

    /** What a build has worked out ahead is what is worked out without one. */
    public function testWhatIsDerivedAheadIsWhatIsDerived(): void
    {
        $vocabulary = Vocabulary::shipped();
        $model = FaultModel::shipped();
        $sense = Sense::shipped($vocabulary);
        Table::make($this->folder, [FaultModel::shipped(...), static fn (): Sense => Sense::shipped(Vocabulary::shipped())]);
        $derived = array_map(basename(...), array_filter((array) glob($this->folder.'/derived-*.php'), is_string(...)));
        self::assertSame(['derived-sense.php', 'derived-tests-of-faults.php', 'derived-vocabulary.php'], $derived);
        Table::madeIn($this->folder);
        self::assertEquals($vocabulary, Vocabulary::shipped());
        self::assertEquals($model, FaultModel::shipped());
        self::assertEquals($sense, Sense::shipped(Vocabulary::shipped()));
        self::assertSame(['kept' => 1], Table::derived('never made', static fn (): array => ['kept' => 1]));
        file_put_contents($this->folder.'/derived-sense.php', "<?php return ['made' => 1];\n");
        self::assertSame(['made' => 1], Table::derived('sense', static fn (): array => self::fail('It is there.')));
    }
}
