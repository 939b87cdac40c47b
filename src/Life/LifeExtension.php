<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\Service\ResetInterface;
use Twig\Attribute\AsTwigFunction;

final class LifeExtension implements ResetInterface
{
    /** @var array<int, list<array{topic: string, text: string}>> by machine; a page asks once, and the ORM would cost it a thirtieth of its time */
    private array $known = [];

    public function __construct(private readonly EntityManagerInterface $entities, private readonly MachineLives $lives)
    {
    }

    public function reset(): void
    {
        $this->known = [];
    }

    /** @return list<array{topic: string, text: string}> what is known of a machine that is good to know at a step, the latest first */
    #[AsTwigFunction('known_at')]
    public function knownAt(Machine $machine, string $step): array
    {
        $topics = array_column(LifeTopic::at($step), 'value');
        if ([] === $topics) {
            return [];
        }
        $known = $this->known[$machine->getId() ?? 0] ??= $this->read($machine);

        return array_values(array_filter($known, static fn (array $note): bool => \in_array($note['topic'], $topics, true)));
    }

    /** @return list<Job> later stays that were back for what was done on this one */
    #[AsTwigFunction('came_back_as')]
    public function cameBackAs(Job $job): array
    {
        return $job->isHandedBack() ? $this->entities->getRepository(Job::class)->findBy(['soonAfter' => $job, 'isComeback' => true], ['id' => 'ASC']) : [];
    }

    /** @return array<string, int> faults that were cured on others of its model, the most often first */
    #[AsTwigFunction('cured_alike')]
    public function curedAlike(Machine $machine): array
    {
        return MachineLives::cured($this->lives->ofModel($machine));
    }

    /** @return list<array{topic: string, text: string}> */
    private function read(Machine $machine): array
    {
        /** @var list<array{topic: string, text: string}> $known */
        $known = $this->entities->getConnection()->fetchAllAssociative('SELECT topic, text FROM life_note WHERE machine_id = ? AND shop_id = @shop AND taken_back_at IS NULL ORDER BY id DESC', [$machine->getId()]);

        return $known;
    }
}
