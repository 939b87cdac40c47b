<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Http\KeptInput;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Keeps what a person sent over their next sign-in, for them alone. */
final readonly class KeptForms
{
    public function __construct(private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    public function keep(int $memberId, KeptInput $kept): void
    {
        $this->entities->getConnection()->executeStatement(
            'REPLACE INTO kept_form (member_id, path, fields, at, shop_id) SELECT id, :path, :fields, :at, shop_id FROM member WHERE id = :member AND active = 1',
            ['member' => $memberId, 'path' => mb_substr($kept->path, 0, 500), 'fields' => $kept->fields, 'at' => $this->clock->now()],
            ['fields' => Types::JSON, 'at' => Types::DATETIME_IMMUTABLE],
        );
    }

    public function has(Member $member): bool
    {
        return null !== $this->find($member);
    }

    /** It is shown once; sent again or left, it is gone. */
    public function take(Member $member): ?KeptInput
    {
        $kept = $this->find($member);
        $this->wipe($member);

        return null === $kept ? null : KeptInput::again($kept->getPath(), $kept->getFields());
    }

    public function wipe(Member $member): void
    {
        $this->entities->getConnection()->executeStatement('DELETE FROM kept_form WHERE member_id = ?', [$member->getId()]);
    }

    private function find(Member $member): ?KeptForm
    {
        return $this->entities->find(KeptForm::class, $member->getId());
    }
}
