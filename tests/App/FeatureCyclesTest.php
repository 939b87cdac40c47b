<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** Features use one another one way round: whoever is used knows nothing of its users. */
final class FeatureCyclesTest extends TestCase
{
    public function testNoFeatureUsesItselfThroughOthers(): void
    {
        $uses = self::uses(\dirname(__DIR__, 2).'/src');
        self::assertGreaterThan(20, \count($uses));
        $left = $uses;
        // What uses nobody that is left goes, again and again; what stays hangs together in a circle.
        do {
            $free = array_keys(array_filter($left, static fn (array $used): bool => [] === array_intersect_key($used, $left)));
            $left = array_diff_key($left, array_flip($free));
        } while ([] !== $free);
        $circle = [];
        foreach ($left as $feature => $used) {
            foreach (array_intersect_key($used, $left) as $other => $class) {
                $circle[] = "$feature uses $other in $class";
            }
        }
        self::assertSame([], $circle, implode("\n", $circle));
    }

    public function testACircleIsSeen(): void
    {
        $folder = sys_get_temp_dir().'/features-'.bin2hex(random_bytes(4));
        mkdir($folder.'/One', 0o777, true);
        mkdir($folder.'/Other');
        file_put_contents($folder.'/One/Here.php', '<?php use AwakeShed\App\Other\There;');
        file_put_contents($folder.'/Other/There.php', '<?php /** {@see \AwakeShed\App\One\Here} */');
        self::assertSame(['One' => ['Other' => 'Here'], 'Other' => ['One' => 'There']], self::uses($folder));
    }

    /** @return array<string, array<string, string>> by feature, the features it names with a class that does */
    private static function uses(string $source): array
    {
        $uses = [];
        foreach (Finder::create()->files()->in($source)->name('*.php')->depth('> 0')->sortByName() as $file) {
            $feature = explode('/', $file->getRelativePath())[0];
            $uses[$feature] ??= [];
            preg_match_all('/AwakeShed\\\\App\\\\(\w+)\\\\/', $file->getContents(), $named);
            foreach (array_diff($named[1], [$feature]) as $other) {
                $uses[$feature][$other] ??= $file->getBasename('.php');
            }
        }

        return $uses;
    }
}
