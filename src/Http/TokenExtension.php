<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Contracts\Service\ResetInterface;
use Twig\Attribute\AsTwigFunction;

/** The token of the small forms, read once a page: some pages have fifty of them. */
final class TokenExtension implements ResetInterface
{
    private ?string $token = null;

    public function __construct(private readonly CsrfTokenManagerInterface $tokens)
    {
    }

    #[AsTwigFunction('form_token')]
    public function token(): string
    {
        return $this->token ??= $this->tokens->getToken(ButtonForm::TOKEN_ID)->getValue();
    }

    public function reset(): void
    {
        $this->token = null;
    }
}
