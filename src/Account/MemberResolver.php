<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Fetches the person who is signed in, for what needs more of them than {@see SessionMember} knows. */
#[AsDecorator('security.user_value_resolver')]
final readonly class MemberResolver implements ValueResolverInterface
{
    /** @param \Closure(): MemberRepository $members made only where one is asked for: every request asks its resolvers */
    public function __construct(
        #[AutowireDecorated]
        private ValueResolverInterface $anyUser,
        private TokenStorageInterface $tokens,
        #[AutowireServiceClosure(MemberRepository::class)]
        private \Closure $members,
    ) {
    }

    /**
     * @return iterable<mixed>
     *
     * @throws AccessDeniedException when they are there no more
     */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        $user = Member::class === $argument->getType() ? $this->tokens->getToken()?->getUser() : null;
        if (!$user instanceof SessionMember || [] === $argument->getAttributesOfType(CurrentUser::class)) {
            return $this->anyUser->resolve($request, $argument);
        }
        $member = ($this->members)()->find($user->getId()) ?? throw new AccessDeniedException('They are there no more.');
        $member->inSession($user->getSession());

        return [$member];
    }
}
