<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The house has two storeys and one stair; PHPStan checks it (phpstan.dist.neon). */
final class StoreysTest
{
    public function testTheCoreKnowsNothingOutsideItself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('AwakeShed\Core'))
            ->canOnly()->dependOn()
            ->classes(Selector::inNamespace('AwakeShed\Core'), Selector::inNamespace('Psr'), Selector::inNamespace('Random'), Selector::classname('/^[A-Z][A-Za-z]+$/', true), Selector::classname('stdClass'))
            ->because('the trade must be testable, and readable, without a framework, a database or a clock');
    }

    public function testTheCoreNeverLooksUpTheStair(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('AwakeShed\Core'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('AwakeShed\App'), Selector::inNamespace('Symfony'), Selector::inNamespace('Doctrine'))
            ->because('the arrow points one way');
    }

    public function testUnitsAreTheGroundAndKnowNoRoom(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('AwakeShed\Core\Units'))
            ->shouldNot()->dependOn()
            ->classes(Selector::AllOf(Selector::inNamespace('AwakeShed\Core'), Selector::Not(Selector::inNamespace('AwakeShed\Core\Units')), Selector::Not(Selector::classname('AwakeShed\Core\Refusal')), Selector::Not(Selector::classname('AwakeShed\Core\StatedRefusal'))))
            ->because('every room stands on them');
    }

    public function testWhatIsOfAJobIsWrittenByTheOneWayIn(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::AllOf(Selector::inNamespace('AwakeShed\App'), Selector::Not(Selector::classname('/^AwakeShed\\\\App\\\\(Account|Audit|Calc|Diagnosis|Exchange|Life|Oil|Once|School|Season|Shelf|Shop|Spec)\\\\/', true)), Selector::Not(Selector::classname('AwakeShed\App\Job\JobWriter')), Selector::Not(Selector::classname('AwakeShed\App\Waste\WasteController')), Selector::Not(Selector::classname('AwakeShed\App\Trace\TraceKeeper')), Selector::Not(Selector::classname('AwakeShed\App\Carburetor\CarburetorController')), Selector::Not(Selector::classname('AwakeShed\App\Money\PricesController')), Selector::Not(Selector::classname('AwakeShed\App\Plan\HoursController')), Selector::Not(Selector::classname('AwakeShed\App\Plan\PlanFeedController'))))
            ->shouldNot()->dependOn()
            ->classes(Selector::classname('AwakeShed\App\Once\OncePerKey'))
            ->because('JobWriter locks the job, refuses one that went home and runs once; what is written beside it does none of that. The controllers named also write what belongs to no job: a can, a recording of nobody\'s machine, a template, a price, somebody\'s hours');
    }

    public function testOnlyWhoRecordsReadsTheTableOfEntries(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('AwakeShed\App\FuelTest'), Selector::inNamespace('AwakeShed\App\Gate'), Selector::inNamespace('AwakeShed\App\Waste'), Selector::inNamespace('AwakeShed\App\Wait'))
            ->shouldNot()->dependOn()
            ->classes(Selector::classname('AwakeShed\App\Evidence\RecordReader'))
            ->because('there is one way into a job\'s record, the Recorder');
    }

    public function testNoRoomOfThePagesReachesForTheDemo(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::AllOf(Selector::inNamespace('AwakeShed\App'), Selector::Not(Selector::inNamespace('AwakeShed\App\Demo'))))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('AwakeShed\App\Demo'))
            ->because('the demo is a guest');
    }
}
