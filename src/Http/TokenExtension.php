<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use AwakeShed\App\Once\RequestKey;
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

    /** What a form written by hand carries beside its fields; those of the form library carry the same (Form/CarriedExtension). */
    #[AsTwigFunction('carried', isSafe: ['html'])]
    public function carried(): string
    {
        return \sprintf('<input type="hidden" name="_token" value="%s"><input type="hidden" name="request_key" value="%s">', htmlspecialchars($this->token()), RequestKey::fresh()->value);
    }

    public function reset(): void
    {
        $this->read = [];
    }
}
