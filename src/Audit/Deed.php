<?php

declare(strict_types=1);

namespace AwakeShed\App\Audit;

/** What is kept a trail of; the words are in translations/trade, "deed.…". */
enum Deed: string
{
    case SignedIn = 'signed_in';
    case SignInRefused = 'sign_in_refused';
    case SignedOut = 'signed_out';
    case SessionsEnded = 'sessions_ended';
    case PersonAdded = 'person_added';
    case RoleChanged = 'role_changed';
    case PersonLeft = 'person_left';
    case PersonBack = 'person_back';
    case PersonForgotten = 'person_forgotten';
    case PasswordChanged = 'password_changed';
    case SecondFactorOn = 'second_factor_on';
    case SecondFactorOff = 'second_factor_off';
    case LinkMade = 'link_made';
    case LinkUsed = 'link_used';
    case ShedOpened = 'shed_opened';
    case ShedChanged = 'shed_changed';
    case SchoolChosen = 'school_chosen';
    case OddsChanged = 'odds_changed';
    case OddsReset = 'odds_reset';
    case CanAdded = 'can_added';
    case CanEmptied = 'can_emptied';
    case WasteRule = 'waste_rule';
    case SpecPageChanged = 'spec_page_changed';
    case SpecBookRead = 'spec_book_read';
    case Exported = 'exported';
    case Imported = 'imported';
    case OwnerErased = 'owner_erased';
    case DemoThrownAway = 'demo_thrown_away';
    case PricesSet = 'prices_set';
    case FeedMade = 'feed_made';
    case FeedEnded = 'feed_ended';
    case Refused = 'refused';
}
