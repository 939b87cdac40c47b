<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use AwakeShed\App\Once\RequestKey;
use Symfony\Component\HttpFoundation\Exception\BadRequestException;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/** Reads the small forms that are a single button: a token, a request key and a word or two. */
final readonly class ButtonForm
{
    /** One id for all forms of the shed, so that a kept form can be sent again under a fresh session. */
    public const TOKEN_ID = 'shed';

    public function __construct(private CsrfTokenManagerInterface $tokens)
    {
    }

    /** @throws StaleForm when the form is not of this session */
    public function check(Request $request): RequestKey
    {
        if (!$this->tokens->isTokenValid(new CsrfToken(self::TOKEN_ID, self::word($request, '_token')))) {
            throw new StaleForm();
        }

        return RequestKey::sentWith($request, self::word($request, 'request_key'));
    }

    /**
     * @throws StaleForm           when the form is not of this session
     * @throws BadRequestException when the field is not text
     */
    public function text(Request $request, string $field): string
    {
        $this->check($request);

        return self::word($request, $field);
    }

    /** @throws BadRequestException */
    private static function word(Request $request, string $field): string
    {
        return mb_substr(mb_scrub(trim($request->getPayload()->getString($field))), 0, 500);
    }
}
