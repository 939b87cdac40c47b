<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Contracts\Service\ResetInterface;
use Twig\Attribute\AsTwigFunction;

/** The token of the forms, read once a page: some pages have fifty of them. */
final class TokenExtension implements ResetInterface
{
    /** @var array<string, string> by id */
    private array $read = [];

    public function __construct(private readonly CsrfTokenManagerInterface $tokens)
    {
    }

    #[AsTwigFunction('form_token')]
    public function token(string $id = ButtonForm::TOKEN_ID): string
    {
        return $this->read[$id] ??= $this->tokens->getToken($id)->getValue();
    }

    public function reset(): void
    {
        $this->read = [];
    }
}
