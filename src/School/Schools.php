<?php

declare(strict_types=1);

namespace AwakeShed\App\School;

use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\Core\Evidence\Vocabulary;
use Doctrine\ORM\EntityManagerInterface;

/** The schools of the trade, as this shop follows them. */
final readonly class Schools
{
    public function __construct(private EntityManagerInterface $entities, private Vocabulary $vocabulary, private CurrentShop $shop)
    {
    }

    /** @return array<string, string> question => school, only where the shop has chosen */
    public function chosen(): array
    {
        $chosen = [];
        foreach ($this->entities->getRepository(ShopSchool::class)->findAll() as $school) {
            $chosen[$school->getQuestion()] = $school->getSchool();
        }

        return $chosen;
    }

    /**
     * Nothing is flushed.
     *
     * @throws \AwakeShed\Core\Evidence\UnknownWord when the question has no such school
     */
    public function choose(string $question, string $school): void
    {
        $this->vocabulary->checkSchool($question, $school);
        $known = $this->entities->find(ShopSchool::class, ['shopId' => $this->shop->id(), 'question' => $question]);
        if (null === $known) {
            $this->entities->persist(new ShopSchool($question, $school));
        } else {
            $known->follow($school);
        }
    }
}
