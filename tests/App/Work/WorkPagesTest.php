<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Work;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\App\Waste\WasteCan;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Work\ShopRepairs;
use AwakeShed\Core\Caution\Cautions;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Translation\TranslatorBagInterface;

final class WorkPagesTest extends ShedTestCase
{
    public function testEveryStepHasWords(): void
    {
        $translator = self::getContainer()->get('translator');
        self::assertInstanceOf(TranslatorBagInterface::class, $translator);
        $catalogue = $translator->getCatalogue('en');
        $missing = [];
        foreach (self::service(StagePlan::class)->stages() as $stage) {
            $keys = ['stage.'.$stage->id];
            foreach ($stage->steps as $step) {
                array_push($keys, ...(null === $step->test && null === $step->cure ? ['step.'.$step->id, 'do.'.$step->id] : []), ...array_map(static fn (string $field): string => 'field.'.$field, array_keys($step->fields ?? [])));
                foreach ($step->choices as $choice) {
                    self::assertNotSame('', self::service(StepWords::class)->choice($step->id, $choice));
                }
                foreach (self::service(Cautions::class)->ofStep($step) as $caution) {
                    self::assertTrue($catalogue->has('caution.'.$caution, 'trade'), $caution);
                }
            }
            $missing = [...$missing, ...array_filter($keys, static fn (string $key): bool => !$catalogue->has($key, 'steps'))];
        }
        self::assertSame([], $missing);
        foreach (WaitKind::cases() as $kind) {
            self::assertTrue($catalogue->has('wait.'.$kind->value, 'trade'), $kind->value);
        }
    }

    public function testTheStagesSayWhatIsCalledForAndWhatIsNext(): void
    {
        $this->signIn();
        $job = $this->gasInOil();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages');
        self::assertSelectorTextContains('[data-stage="flush"]', 'Open here: Oil drained.');
        self::assertSelectorTextContains('[data-stage="locked"]', 'not called for so far');
        foreach (['fuel', 'locked', 'flush', 'split', 'path', 'needle', 'decide', 'jet'] as $stage) {
            $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/'.$stage);
            self::assertResponseIsSuccessful($stage);
            $this->browser->request('GET', '/jobs/'.$job->getId().'/now/'.$stage);
            self::assertResponseIsSuccessful($stage);
        }
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/moon');
        self::assertResponseStatusCodeSame(404);
    }

    public function testADrainingIsRecordedWithItsArithmeticItsWasteAndItsTimer(): void
    {
        $this->signIn();
        $job = $this->gasInOil();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        self::assertSelectorTextContains('#step-flush-fill_1 .is-shut', 'First: Oil drained.');
        $this->browser->submit($page->filter('#act-flush-drain')->form(['ml' => '900']));
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-dilution]', 'About 42 % of it is gasoline. 2 changes bring it under two.');
        self::assertStringContainsString('before 44.2 %, 1 4.4 %', (string) $this->browser->getCrawler()->filter('.bars-drawing')->attr('aria-label'), 'and are drawn, change by change');
        self::assertSelectorTextContains('.saved', 'Oil drained: 900 mL');
        self::assertSelectorExists('#act-flush-fill_1');
        self::assertSame(900.0, self::service(WasteRepository::class)->totals()['oil_gasoline']->inMillilitres());
        self::assertNotNull(self::service(WaitRepository::class)->runningFor($this->again($job), WaitKind::DrainOil));
        $this->browser->request('GET', '/');
        self::assertSelectorTextContains('.waiting', 'Oil draining');
    }

    public function testWhatIsPouredIsSaidToGoIntoTheCanOfItsKindWithRoom(): void
    {
        $this->signIn();
        $job = $this->gasInOil();
        $says = fn (): string => $this->browser->request('GET', '/jobs/'.$this->again($job)->getId().'/stages/flush')->filter('[data-step="flush.drain"]')->text();
        $put = static function (string $name, WasteStream $stream, float $litres): void {
            self::entities()->persist(new WasteCan($name, $stream, Volume::millilitres(1000 * $litres)));
            self::entities()->flush();
        };
        $put('Red can', WasteStream::StaleGasoline, 20);
        self::assertStringContainsString('No can for it has room', $says());
        // A can of half a liter is full with a jug of it.
        $put('Small can', WasteStream::OilGasoline, 0.5);
        self::assertStringContainsString('No can for it has room', $says());
        $put('Grey can', WasteStream::OilGasoline, 20);
        self::assertStringContainsString('It is written into the can: Grey can', $says());
    }

    public function testADrainingOfAMachineWhoseOilNobodyKnowsSaysWhatItsArithmeticWants(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'far_over'), Finding::observed('look.oil_smell', 'gas'));
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        self::assertSelectorNotExists('[data-dilution]');
        self::assertSelectorExists('#step-flush-drain a[href="/jobs/'.$job->getId().'/machine"]');
    }

    public function testWhatIsNotOpenIsNotRecorded(): void
    {
        $this->signIn();
        $job = $this->gasInOil();
        foreach ([['flush.fill_1', ['ml' => '550'], 409], ['flush.run_1', ['minutes' => '10'], 409], ['flush.drain', ['ml' => 'much'], 422], ['flush.drain', ['ml' => '90000'], 422], ['flush.moon', [], 422], ['path.tap', [], 422]] as [$step, $fields, $status]) {
            $this->post('/jobs/'.$job->getId().'/acts', ['step' => $step] + $fields);
            self::assertResponseStatusCodeSame($status, $step);
        }
        self::assertSame([], $this->record($job)->acts());
        self::assertSame(0.0, self::service(WasteRepository::class)->totals()['oil_gasoline']->inMillilitres(), 'nothing is poured for what was refused');
    }

    public function testADoubleTapCountsOnceAndATapTakenBackNoMore(): void
    {
        $this->signIn();
        $job = $this->gasInOil();
        $key = RequestKey::fresh()->value;
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900'], $key);
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900'], $key);
        self::assertCount(1, $this->record($job)->acts());
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Oil drained: 900 mL');
        $this->browser->submit($page->filter('.entry')->first()->selectButton('Undo')->form());
        self::assertSame([], $this->record($job)->acts());
        $this->browser->followRedirect();
        $this->assertSays('Undone: Oil drained: 900 mL');
        self::assertSame([], self::service(WasteRepository::class)->ofJob($this->again($job)), 'what it poured goes with it');
        self::assertSame(0.0, self::service(WasteRepository::class)->totals()['oil_gasoline']->inMillilitres());
        self::assertSame([], self::service(WaitRepository::class)->ofJob($this->again($job)), 'and what it set going');
    }

    public function testATimerTakesAsLongAsThePersonSays(): void
    {
        $this->signIn();
        $job = $this->gasInOil();
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900']);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        $this->browser->submit($page->selectButton('Set the timer')->form(['minutes' => '45']));
        self::assertResponseRedirects('/jobs/'.$job->getId().'/stages/flush');
        $wait = fn (): int => self::service(WaitRepository::class)->ofJob($this->again($job))[0]->minutes();
        self::assertSame(45, $wait());
        foreach (['0', '-3', '9999', 'soon', '2.5'] as $minutes) {
            $this->post('/waits/'.self::service(WaitRepository::class)->ofJob($this->again($job))[0]->getId().'/minutes', ['minutes' => $minutes]);
            self::assertSame(45, $wait(), $minutes);
        }
    }

    public function testVolumesAreTypedInTheUnitsOfThePersonOrAsTheySay(): void
    {
        $this->member(Role::Technician)->prefer(UnitSystem::Us, Look::Device);
        $this->signIn();
        $job = $this->gasInOil();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        self::assertSelectorTextContains('#act-flush-drain', 'How much, fl oz');
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '30']);
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900 mL']);
        self::assertEqualsWithDelta([887.2, 900.0], array_map(static fn (Act $act): float => $act->figures['ml'], $this->record($job)->acts()), 0.1);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Oil drained: 30 fl oz');
    }

    public function testTheComparisonOfTheWaysBeginsWithTheShopsOwnPricesAndHistory(): void
    {
        $this->signIn();
        foreach ([['clean'], ['clean', 'replace'], ['clean', 'clean']] as $ways) {
            $job = $this->job();
            foreach ($ways as $way) {
                $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'decide.way', 'choice' => $way]);
            }
            $this->again($job)->handBack(new \DateTimeImmutable());
            self::entities()->flush();
        }
        $open = $this->job();
        $this->post('/jobs/'.$open->getId().'/acts', ['step' => 'decide.way', 'choice' => 'kit']);
        $this->post('/jobs/'.$open->getId().'/bench/repair', ['wage_per_hour' => '72', 'machine_worth' => '90', 'kit_parts' => '14.5', 'clean_worked' => '99']);
        self::assertResponseRedirects();
        $given = self::service(ShopRepairs::class)->given();
        self::assertSame(['2', '1', '1', '72', '14.5'], [$given['clean_worked'], $given['clean_failed'], $given['replace_worked'], $given['wage_per_hour'], $given['kit_parts']]);
        self::assertArrayNotHasKey('kit_worked', $given, 'that one has not gone home yet');
        self::assertArrayNotHasKey('machine_worth', $given, 'it is of that machine');
        $page = $this->browser->request('GET', '/jobs/'.$open->getId().'/stages/decide');
        $this->browser->click($page->filter('[data-step="decide.compare"]')->selectLink('Work it out')->link());
        self::assertResponseIsSuccessful();
        self::assertSelectorExists('input[name="wage_per_hour"][value="72"]');
        self::assertSelectorExists('input[name="clean_worked"][value="2"]');
    }

    public function testAJetThatWasOpenedSaysWhatItPassesNow(): void
    {
        $this->signIn();
        $job = $this->job();
        $job->follow('jet_drilling', 'next_size_up');
        self::entities()->flush();
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'jet.before', 'bore_mm' => '0.40']);
        self::assertResponseStatusCodeSame(409, 'not before everything else is right');
        $this->found($this->again($job), Finding::observed('bowl.inside', 'clean'), Finding::observed('jet.pilot', 'clear'), Finding::observed('jet.main', 'clear'), Finding::observed('intake.gasket', 'sound'), Finding::observed('needle.pressure', 'holds'));
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'jet.before', 'bore_mm' => '0.40']);
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'jet.after', 'bore_mm' => '0.0177 in']);
        $this->browser->followRedirect();
        // 0.0177 in are 0.4496 mm; 0.4496² over 0.40² is 1.26.
        self::assertSelectorTextContains('[data-jet-flow]', 'It passes 1.26 times what it did.');
        self::assertSelectorTextContains('.saved', 'Bore after: 0.45');
    }

    public function testTheNeedleIsTestedAgainAfterItIsFitted(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('needle.pressure', 'holds'));
        foreach (['needle.way_round' => 'not_replaceable', 'needle.bore' => 'not_replaceable', 'needle.fitted' => 'reused'] as $step => $choice) {
            $this->post('/jobs/'.$job->getId().'/acts', ['step' => $step, 'choice' => $choice]);
        }
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/needle');
        self::assertSelectorExists('[data-step="needle.again"].is-open');
        $this->found($this->again($job), Finding::observed('needle.pressure', 'holds'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/needle');
        self::assertSelectorExists('[data-step="needle.again"].is-done');
    }

    public function testTheFuelPathIsShownAsTheLineItWalks(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/jobs/'.$this->job()->getId().'/stages/path');
        self::assertCount(18, $page->filter('.line-drawing a'));
    }

    public function testTheTopForTheLashIsDrawnWhereItIsMeasured(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.oil_smell', 'none'), Finding::observed('feel.pull', 'no_resistance'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/split');
        self::assertCount(2, $page->filter('#step-split-lash .rocker-drawing'));
        self::assertStringContainsString('The right top', (string) $page->filter('#step-split-lash .rocker-drawing')->first()->attr('aria-label'));
    }

    public function testPullsAreCountedUntilItIsDryAndDrawnAgainstTheRoom(): void
    {
        $this->signIn();
        $job = $this->job();
        $job->getMachine()->describe('Alderholm test mower', new MachineFacts(MachineKind::Mower, displacementCc: 160.0, compressionRatio: 8.5), 'Cabin 4', '');
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.oil_smell', 'none'), Finding::observed('feel.pull', 'locked'), Finding::observed('pull.plug_out', 'free'), Finding::observed('pull.ejecta', 'oil'));
        foreach (['20', '6,5'] as $ml) {
            $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/now/locked?step=locked.pull');
            self::assertSelectorTextContains('.caution', 'Nobody in line with the plug hole');
            $this->browser->submit($page->filter('#act-locked-pull')->form(['thrown_ml' => $ml]));
            $this->browser->followRedirect();
            self::assertSelectorTextContains('[data-dry="0"]', 'Again');
        }
        self::assertSelectorExists('.cylinder-beside svg');
        $this->browser->submit($this->browser->getCrawler()->filter('#act-locked-pull')->form(['thrown_ml' => '0']));
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-dry="1"]', 'Stop: nothing comes any more. 3 pulls, 26.5 mL in all.');
    }

    public function testAMachineDoesNotGoHomeBeforeTheCauseIsDealtWith(): void
    {
        $this->signIn();
        $job = $this->gasInOil();
        $this->post('/jobs/'.$job->getId().'/hand-back', []);
        self::assertResponseStatusCodeSame(409);
        $this->assertSays('how it got there is not written down');
        $job = $this->again($job);
        self::assertFalse($job->isHandedBack());
        $this->found($job, Finding::observed('needle.pressure', 'holds'));
        $this->post('/jobs/'.$job->getId().'/hand-back', ['reason' => 'The owner fetched it']);
        self::assertResponseStatusCodeSame(409, 'a hold stands, whatever anybody says');
        $job = $this->again($job);
        $this->found($job, new PutRight('oil.gas_in_oil'));
        $this->post('/jobs/'.$job->getId().'/hand-back', ['reason' => 'The owner fetched it']);
        self::assertTrue($this->again($job)->isHandedBack());
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900']);
        self::assertResponseStatusCodeSame(409, 'a machine that went home takes nothing');
    }

    public function testACureOfAStageIsForATechnician(): void
    {
        $job = $this->gasInOil();
        $this->signIn(Role::Apprentice);
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900']);
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.fill_1', 'ml' => '550']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        self::assertSelectorTextContains('#step-flush-cure', 'A technician says when it is put right.');
        $this->signIn();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        $this->browser->submit($page->filter('#step-flush-cure form')->form());
        self::assertResponseRedirects('/jobs/'.$job->getId().'/stages/flush');
        $events = $this->record($job)->case()->events;
        self::assertEquals(new PutRight('oil.gas_in_oil'), $events[\count($events) - 1]);
    }

    public function testOilThatStillSmellsAfterTheFirstFillGoesOnAndTheShortRunIsOpen(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->found($job, Finding::observed('look.oil_level', 'far_over'), Finding::observed('look.oil_smell', 'gas'));
        foreach ([['flush.drain', '900'], ['flush.fill_1', '550']] as [$step, $ml]) {
            $this->post('/jobs/'.$job->getId().'/acts', ['step' => $step, 'ml' => $ml]);
            self::assertResponseRedirects(message: $step);
        }
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        self::assertSelectorExists('#step-flush-run_1 .is-shut', 'not before it was smelled again');
        self::assertSelectorExists('[data-step] input[name="test"][value="look.oil_smell"]', 'the smell is asked here');
        $this->browser->submit($page->filter('[data-step="flush.smell"]')->selectButton('Still a little of gas, after the first fill')->form());
        $this->found($this->again($job), Finding::observed('look.oil_level', 'at_mark'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        self::assertSelectorExists('#act-flush-run_1', 'the short run that carries the rest out');
        self::assertNotSame([], self::service(Gatekeeper::class)->blockers($this->record($this->again($job))->case(), 'run.load'), 'and no other');
    }

    public function testAWashingFillIsNotBegunWithTheOilToKeep(): void
    {
        $this->signIn();
        $this->post('/oil', ['name' => 'SAE 30', 'volume' => '4000']);
        $job = $this->gasInOil();
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900']);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        self::assertSame('', $page->filter('#act-flush-fill_1')->form()->getValues()['oil']);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/line/crankcase');
        $form = $page->filter('#act-crankcase-filled')->selectButton('Crankcase filled')->form(['ml' => '550']);
        self::assertSame('', $form->getValues()['oil'], 'nor in the room of the line, where it is asked too');
        $this->browser->submit($form, ['oil' => (string) self::service(Shelf::class)->stocks()[0]->id]);
        self::assertSame(3450.0, self::service(Shelf::class)->stocks()[0]->left->inMillilitres());
    }

    public function testOpeningAJetAsksForItsOwnListAndABowlNutCounts(): void
    {
        $this->signIn();
        $job = $this->job();
        $job->follow('jet_drilling', 'next_size_up');
        self::entities()->flush();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/jet');
        self::assertSame(['jet.compare', 'jet.main', 'jet.nut', 'jet.pilot', 'jet.gasket', 'jet.needle', 'jet.before', 'jet.after', 'jet.owner'], $page->filter('[data-step]')->each(static fn (Crawler $step): string => (string) $step->attr('data-step')));
        $this->found($this->again($job), Finding::observed('bowl.inside', 'clean'), Finding::observed('jet.pilot', 'clear'), Finding::observed('jet.bowl_nut', 'clear'), Finding::observed('intake.gasket', 'sound'), Finding::observed('needle.pressure', 'holds'));
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'jet.before', 'bore_mm' => '0.40']);
        self::assertResponseRedirects();
    }

    public function testADiaphragmCarburetorIsNotAskedForFloatOrSeatBore(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/jobs/'.$this->job(MachineKind::TwoStrokeHandTool, 'Sedgewick trimmer')->getId().'/stages/needle');
        self::assertSelectorExists('[data-step="needle.fitted"]');
        foreach (['needle.bore', 'needle.level', 'needle.float'] as $step) {
            self::assertSelectorNotExists('[data-step="'.$step.'"]');
        }
        self::assertGreaterThan(0, $page->count());
    }

    public function testACordThatKicksBackCallsForTheLockedStage(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.oil_smell', 'none'), Finding::observed('feel.pull', 'kicks_back'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/locked');
        self::assertSelectorTextNotContains('main', 'Nothing found so far calls for this stage.');
    }

    public function testAStageBeginsWithWhatTheJobWaitsFor(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $this->found($job, Finding::observed('jar.tank', 'two_layers'));
        self::assertSame('tank.drained', $this->again($job)->getWaitsFor());
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/fuel');
        $next = $page->filter('.step.is-next')->attr('data-step');
        self::assertCount(1, $page->filter('.step.is-next'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/now/fuel');
        self::assertSelectorExists('input[name="step"][value="'.$next.'"]');
    }

    private function gasInOil(): Job
    {
        $job = new Job(new Machine('Heronbill test mower', new MachineFacts(MachineKind::Mower, oilMl: 550.0), 'Cabin 4', ''), $this->member(Role::Technician), new \DateTimeImmutable('2026-11-20 09:00'));
        self::entities()->persist($job);
        self::entities()->flush();
        $this->found($job, Finding::observed('look.oil_level', 'far_over'), Finding::observed('look.oil_smell', 'gas'), Finding::observed('look.oil_body', 'thin'));

        return $job;
    }
}
