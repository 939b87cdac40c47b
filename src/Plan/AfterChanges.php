<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Wait\Wait;
use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\OnFlushEventArgs;
use Doctrine\ORM\Events;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/** Makes the plan anew once the answer has gone out, where anything it hangs on was changed. */
#[AsDoctrineListener(Events::onFlush)]
final class AfterChanges
{
    private const MATTERS = [Job::class, Wait::class, WantedPart::class, Mark::class, Hours::class, Absence::class, Equipment::class, Member::class];

    private bool $isStale = false;
    private bool $isLookedAt = false;

    /** @param \Closure(): Plans $plans made only where something has changed */
    public function __construct(
        #[AutowireServiceClosure(Plans::class)]
        private readonly \Closure $plans,
        private readonly LoggerInterface $logger,
        #[Autowire(param: 'shed.plans_after_changes')]
        private bool $isOn,
    ) {
    }

    public function turn(bool $on): void
    {
        $this->isOn = $on;
    }

    /** Somebody looks at a plan that what was changed last has not come into: it is made after their answer. */
    public function catchUp(): void
    {
        $this->isStale = $this->isLookedAt = true;
    }

    public function onFlush(OnFlushEventArgs $flush): void
    {
        $work = $flush->getObjectManager()->getUnitOfWork();
        foreach ([...$work->getScheduledEntityInsertions(), ...$work->getScheduledEntityUpdates(), ...$work->getScheduledEntityDeletions()] as $entity) {
            foreach (self::MATTERS as $class) {
                $this->isStale = $this->isStale || $entity instanceof $class;
            }
        }
    }

    #[AsEventListener(KernelEvents::TERMINATE)]
    public function afterAnswer(TerminateEvent $event): void
    {
        if (!$this->isStale || !$this->isOn || $event->getRequest()->isMethodSafe() && !$this->isLookedAt) {
            return;
        }
        $this->isStale = $this->isLookedAt = false;
        try {
            ($this->plans)()->replan();
        } catch (\Throwable $failed) {
            // The change is saved; the plan of before stands until the next.
            $this->logger->error('The plan was not made: {why}', ['why' => $failed->getMessage(), 'exception' => $failed]);
        }
    }
}
