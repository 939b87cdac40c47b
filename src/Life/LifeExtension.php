<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Job\Job;
use Doctrine\ORM\EntityManagerInterface;
use Twig\Attribute\AsTwigFunction;

final readonly class LifeExtension
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return list<Job> later stays that were back for what was done on this one */
    #[AsTwigFunction('came_back_as')]
    public function cameBackAs(Job $job): array
    {
        return $job->isHandedBack() ? $this->entities->getRepository(Job::class)->findBy(['soonAfter' => $job, 'isComeback' => true], ['id' => 'ASC']) : [];
    }
}
