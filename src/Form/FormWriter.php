<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Reader\Reader;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Form\FormInterface;
use Symfony\Contracts\Cache\CacheInterface;
use Twig\Environment;
use Twig\Markup;

/**
 * Writes forms of which a page has many. The fields of one that nobody has typed into hang on nothing but what they are
 * filled with and the reader's units, so they are written once and kept; what such a form carries is new each time. A build
 * begins with nothing kept.
 */
final readonly class FormWriter
{
    public function __construct(
        private Environment $twig,
        private Reader $reader,
        private CarriedFields $carried,
        #[Autowire(service: 'shed.fields')]
        private CacheInterface $kept,
    ) {
    }

    /**
     * @template T
     *
     * @param string                       $template of the fields, which knows them as `form`
     * @param mixed                        $filled   all that shapes them; told apart by how it is serialized
     * @param \Closure(): FormInterface<T> $form     asked only where nothing is kept; it carries a request key
     * @param string|null                  $basedOn  the mark of what it is filled with, where it carries one
     */
    public function untouched(string $name, string $template, mixed $filled, \Closure $form, ?string $basedOn = null): WrittenForm
    {
        $key = hash('xxh128', serialize([$name, $template, $filled, $this->reader->units(), $this->reader->locale()]));
        $fields = $this->kept->get($key, fn (): string => $this->twig->render($template, ['form' => $form()->createView()]), 0.0);

        return new WrittenForm($name, self::markup(CarriedFields::written($this->carried->fresh($name, $basedOn))), self::markup($fields), null);
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $form     as it was sent
     * @param string           $template of the fields
     * @param string|null      $basedOn  the mark of what stands now, where it is no longer what the form was filled with
     */
    public function tried(FormInterface $form, string $template, ?string $basedOn = null): WrittenForm
    {
        $view = $form->createView();
        if (null !== $basedOn) {
            Carried::rebase($view, $basedOn);
        }

        return new WrittenForm($form->getName(), self::markup(CarriedFields::written(Carried::shownBy($view))), self::markup($this->twig->render($template, ['form' => $view])), $view);
    }

    private static function markup(string $html): Markup
    {
        return new Markup($html, 'UTF-8');
    }
}
