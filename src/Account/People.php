<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Once\Transaction;
use AwakeShed\App\Once\Turns;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Keeps the list of people: every change under a lock that never leaves the shed without an owner, and on the trail. */
final readonly class People
{
    /** The turn at who is an owner of a shop. */
    private const OWNERS = 'owners of ';

    public function __construct(
        private EntityManagerInterface $entities,
        private Transaction $transaction,
        private Turns $turns,
        private MemberRepository $members,
        private OpenSessionRepository $sessions,
        private KeptForms $kept,
        private Shops $shops,
        private CurrentShop $shop,
        private UserPasswordHasherInterface $hasher,
        private Trail $trail,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string|null $password a first one, to be changed at the first sign-in; null: they choose by a link
     *
     * @throws NameTaken
     */
    public function add(string $signInName, string $name, Role $role, ?string $email, #[\SensitiveParameter] ?string $password, ?Member $by): Member
    {
        return $this->transaction->run(function () use ($signInName, $name, $role, $email, $password, $by): Member {
            if ($this->members->isLikeAnother($signInName)) {
                throw new NameTaken();
            }
            $member = new Member($signInName, $name, $role, $this->clock->now());
            $member->call($name, $email);
            $member->prefer($this->shops->current()?->getUnits() ?? $member->getUnits(), $member->getLook());
            if (null !== $password) {
                $member->givePassword($this->hasher->hashPassword($member, $password));
            }
            $this->entities->persist($member);
            $this->entities->flush();
            $this->trail->note($by?->getId(), Deed::PersonAdded, $member->getName(), [], ['role' => $role->value, 'signs_in_as' => $member->getSignInName()]);

            return $member;
        });
    }

    /**
     * @param Role $was as whoever decides this saw it
     *
     * @throws LastOwner
     * @throws ChangedMeanwhile
     */
    public function appoint(Member $person, Role $role, Role $was, Member $by): void
    {
        $this->change($person, function () use ($person, $role, $was, $by): void {
            if ($person->getRole() !== $was) {
                throw new ChangedMeanwhile($person->getRole());
            }
            $person->appoint($role);
            $this->trail->change($by->getId(), Deed::RoleChanged, $person->getName(), ['role' => $was->value], ['role' => $role->value]);
        });
    }

    /**
     * @param bool $was active, as whoever decides this saw it; nothing happens when that is not so any more
     *
     * @throws LastOwner
     */
    public function leaveOrReturn(Member $person, bool $was, Member $by): void
    {
        $this->change($person, function () use ($person, $was, $by): void {
            if ($person->isActive() !== $was) {
                return;
            }
            $was ? $person->leave() : $person->comeBack();
            if ($was) {
                $this->sessions->end($person, $this->clock->now());
            }
            $this->trail->note($by->getId(), $was ? Deed::PersonLeft : Deed::PersonBack, $person->getName());
        });
    }

    /**
     * The name goes, what they did stays.
     *
     * @throws LastOwner
     */
    public function forget(Member $person, string $as, Member $by): void
    {
        $this->change($person, function () use ($person, $as, $by): void {
            $number = (string) $person->getId();
            $person->forget($as.' '.$number);
            $this->sessions->end($person, $this->clock->now());
            $this->kept->wipe($person);
            $this->entities->getConnection()->executeStatement('UPDATE open_session SET device = \'\' WHERE member_id = ?', [$number]);
            $this->trail->note($by->getId(), Deed::PersonForgotten, $number);
        });
    }

    public function isPassword(Member $member, #[\SensitiveParameter] string $typed): bool
    {
        return $this->hasher->isPasswordValid($member, $typed);
    }

    /** Chosen by themselves: every other session of theirs ends. */
    public function changePassword(Member $member, #[\SensitiveParameter] string $password): void
    {
        $this->transaction->run(function () use ($member, $password): void {
            $this->turns->hold($member);
            $member->changePassword($this->hasher->hashPassword($member, $password));
            $this->sessions->end($member, $this->clock->now(), but: $member->getSession() ?? '');
            $this->trail->note($member->getId(), Deed::PasswordChanged, $member->getName());
        });
    }

    public function signOutEverywhere(Member $person, Member $by): void
    {
        $this->sessions->end($person, $this->clock->now());
        $this->trail->note($by->getId(), Deed::SessionsEnded, $person->getName());
    }

    /**
     * The owners have one turn among them, so that two who demote each other come one after the other.
     *
     * @param \Closure(): void $change
     *
     * @throws LastOwner|\Throwable
     */
    private function change(Member $person, \Closure $change): void
    {
        try {
            $this->transaction->run(function () use ($person, $change): void {
                // Before anything is read: what a transaction reads first is as of what it sees from then on.
                $this->turns->hold(self::OWNERS.$this->shop->id());
                $this->turns->take($person);
                $change();
                $this->entities->flush();
                if (0 === $this->members->countOwners()) {
                    throw new LastOwner();
                }
            });
        } catch (LastOwner $last) {
            // Whoever demoted themselves is still signed in, and must not be written into their session as what they are not.
            $this->entities->refresh($person);

            throw $last;
        }
    }
}
