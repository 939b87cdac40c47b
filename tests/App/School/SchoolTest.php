<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\School;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Intake\Intake;
use AwakeShed\App\Intake\IntakeInput;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\School\Schools;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\Translation\TranslatorBagInterface;

final class SchoolTest extends ShedTestCase
{
    public function testEveryQuestionAndSchoolHasWords(): void
    {
        $translator = self::getContainer()->get('translator');
        self::assertInstanceOf(TranslatorBagInterface::class, $translator);
        foreach (Vocabulary::shipped()->schools as $question => $schools) {
            foreach (['question.'.$question, ...array_map(static fn (string $school): string => 'school.'.$school, $schools)] as $key) {
                self::assertTrue($translator->getCatalogue('en')->has('outcome.'.$key, 'trade'), $key);
            }
        }
    }

    public function testWhatTheShopFollowsGoesIntoWhatIsTakenInFromThenOn(): void
    {
        $before = $this->job();
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/schools');
        $this->browser->submit($page->selectButton('The feel of the pull')->form());
        self::assertResponseRedirects('/schools');
        $number = self::service(Intake::class)->takeIn($this->input(), $this->member(Role::Technician), RequestKey::fresh());
        $this->browser->request('GET', '/jobs/'.$number.'/stages/split');
        self::assertSelectorExists('#step-split-feel');
        self::assertSelectorNotExists('#step-split-gauge');
        $this->browser->request('GET', '/jobs/'.$before->getId().'/stages/split');
        self::assertSelectorExists('#step-split-gauge', 'a job under way goes on as it began');
    }

    public function testWhatTheShopFollowsIsChosenAnew(): void
    {
        $this->signIn(Role::Owner);
        foreach (['feel', 'gauge_or_leakdown', 'feel'] as $school) {
            $this->post('/schools', ['question' => 'compression', 'school' => $school]);
            self::assertResponseRedirects('/schools');
            self::assertSame(['compression' => $school], self::service(Schools::class)->chosen());
        }
    }

    public function testAJobMayFollowAnotherAndItsHistorySaysSo(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/schools');
        $this->browser->submit($page->selectButton('Starting ether')->form());
        self::assertResponseRedirects('/jobs/'.$job->getId().'/schools');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/split');
        self::assertSelectorExists('#step-split-bypass_ether');
        self::assertSelectorNotExists('#step-split-bypass_cleaner');
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Schools followed');
    }

    public function testOnlyWhatThereIsByWhomItIsFor(): void
    {
        $job = $this->job();
        $this->signIn();
        $this->post('/schools', ['question' => 'compression', 'school' => 'feel']);
        self::assertResponseStatusCodeSame(403);
        $this->post('/jobs/'.$job->getId().'/schools', ['question' => 'compression', 'school' => 'guess']);
        self::assertResponseStatusCodeSame(422);
        $this->post('/jobs/'.$job->getId().'/schools', ['question' => 'moon', 'school' => 'full']);
        self::assertResponseStatusCodeSame(404);
        self::assertSame([], self::service(Schools::class)->chosen());
        $this->signIn(Role::Apprentice);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/schools');
        self::assertSelectorNotExists('main form[action$="/schools"]');
    }

    private function input(): IntakeInput
    {
        $input = IntakeInput::fromJob($this->job());
        $input->label = 'Heronbill school mower';
        $input->kind = MachineKind::Mower;

        return $input;
    }
}
