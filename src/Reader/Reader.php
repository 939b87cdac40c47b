<?php

declare(strict_types=1);

namespace AwakeShed\App\Reader;

use AwakeShed\Core\Units\Length;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\RequestStack;

/** Whoever looks at the page: their units, their colours, the way they write dates. */
final readonly class Reader
{
    public function __construct(private Security $security, private RequestStack $requests, private string $shopTimezone)
    {
    }

    public function units(): UnitSystem
    {
        return $this->member()?->getUnits() ?? UnitSystem::TradeMixed;
    }

    public function look(): Look
    {
        return $this->member()?->getLook() ?? Look::Device;
    }

    /** @return list<Length> the cleaning wires they own */
    public function wires(): array
    {
        return $this->member()?->getWires() ?? [];
    }

    /** From the browser's own languages; only the way dates are written follows it, the words are English. */
    public function locale(): string
    {
        foreach ($this->requests->getCurrentRequest()?->getLanguages() ?? [] as $language) {
            if (str_starts_with($language, 'en_')) {
                return $language;
            }
        }

        return 'en_US';
    }

    public function timezone(): \DateTimeZone
    {
        return new \DateTimeZone('' === $this->shopTimezone ? 'UTC' : $this->shopTimezone);
    }

    private function member(): ?Preferences
    {
        $user = $this->security->getUser();

        return $user instanceof Preferences ? $user : null;
    }
}
